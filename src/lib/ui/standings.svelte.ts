import { Standings, type Standing } from '#core/record';
import { shared } from '$lib/store/shared.svelte';
import { airs } from './airs.svelte';

const standings = new Standings();

/** Where all pieces stand; undefined until the studio and its pours are read. @param now ms since 1970 */
export function whereAllStand(now: number): Standing[] | undefined {
  const { pieces, summaries, means, room } = shared;
  const rooms = airs.current;
  return pieces && summaries && means && room && rooms && standings.of(pieces, summaries, { airs: rooms, means, room }, now);
}

/** Where one piece stands. */
export const whereStands = (id: string, now: number): Standing | undefined => whereAllStand(now)?.find((s) => s.piece.id === id);
