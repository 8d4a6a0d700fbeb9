import type { Match, MatchIn, Rgb } from '#core/tint';
import type { MatchWork } from './match.worker';
import { task, type Task } from './task';

/** Looks for the nearest makeable tints. @param keep how many @param onprogress share done, 0 to 1 */
export const searchTint = (target: Rgb, into: MatchIn, keep: number, onprogress: (share: number) => void): Task<Match[]> =>
  task<MatchWork, Match[], (share: number) => void>(
    () => new Worker(new URL('./match.worker.ts', import.meta.url), { type: 'module' }),
    (work, tell) => work.match(target, into, keep, tell),
    onprogress,
  );
