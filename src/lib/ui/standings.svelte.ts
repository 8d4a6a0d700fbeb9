import { Standings, type Standing } from '#core/record';
import { planner } from '$lib/planner';
import { shared } from '$lib/store/shared.svelte';

const standings = new Standings();

/** Where all pieces stand; undefined until the studio and its pours are read. @param now ms since 1970 */
export function whereAllStand(now: number): Standing[] | undefined {
  const { pieces, summaries, means, room, airs } = shared;
  return pieces && summaries && means && room && airs && standings.of(pieces, summaries, { planner, airs, means, room }, now);
}

/** Where one piece stands. */
export const whereStands = (id: string, now: number): Standing | undefined => whereAllStand(now)?.find((s) => s.piece.id === id);
