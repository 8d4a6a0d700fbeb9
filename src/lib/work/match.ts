import { proxy, wrap } from 'comlink';
import type { Match, MatchIn, Rgb } from '#core/tint';
import type { MatchWork } from './match.worker';

/** A search for a tint under way; `stop` ends it at once, and `found` is then never settled. */
export interface Search {
  found: Promise<Match[]>;
  stop: () => void;
}

/** Looks for the nearest makeable tints in a worker of its own. @param onprogress share done, 0 to 1 */
export function searchTint(target: Rgb, into: MatchIn, keep: number, onprogress: (share: number) => void): Search {
  const worker = new Worker(new URL('./match.worker.ts', import.meta.url), { type: 'module' });
  const found = wrap<MatchWork>(worker)
    .match(target, into, keep, proxy(onprogress))
    .finally(() => worker.terminate());
  return { found, stop: () => worker.terminate() };
}
