import { Standings, type Standing } from '#core/record';
import { planner } from '$lib/planner';
import { zone } from '$lib/zone';
import { shared } from '$lib/store/shared.svelte';

const standings = new Standings();

/** Where all pieces stand; undefined until the studio and its pours are read. @param now ms since 1970 */
export function whereAllStand(now: number): Standing[] | undefined {
  const { pieces, summaries, means, room } = shared;
  return pieces && summaries && means && room && standings.of(pieces, summaries, { planner, zone, means, room }, now);
}

/** Where one piece stands. */
export const whereStands = (id: string, now: number): Standing | undefined => whereAllStand(now)?.find((s) => s.piece.id === id);
