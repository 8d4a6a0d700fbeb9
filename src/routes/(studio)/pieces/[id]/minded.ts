import { advise, aroundOf, type Finding } from '#core/advice';
import type { Piece, Room } from '#core/document';
import { joinsOf } from '#core/edit';
import type { PiecePlan } from '#core/plan';
import type { Standing } from '#core/record';
import type { Writes } from '#core/units';
import { airs } from '$lib/ui/airs.svelte';

/** Where and when a piece is poured, as far as that is read. */
interface Where {
  standing: Standing | undefined;
  room: Room | undefined;
  /** ms since 1970 */
  now: number;
}

/** What is to be minded about a piece: with how its sea meets those of its neighbours, and the days and nights of its room. */
export function mindedOf(plan: PiecePlan, write: Writes, pieces: Piece[], { standing, room, now }: Where): Finding[] {
  const rooms = airs.current;
  return advise({
    plan,
    write,
    joins: joinsOf(plan.piece, pieces),
    ...(standing && room && rooms && { around: aroundOf(standing, { airs: rooms, room, now }) }),
  });
}
