import { db, keep, kept } from './db';
import type { Kept } from './rows';

/** How drills went, by the name of each. */
export const readDrills = async (): Promise<Kept['drills']> => (await kept('drills')) ?? {};

/** Remembers how a drill went. @param score 0 to 100 */
export function keepDrill(name: string, score: number): Promise<void> {
  return db.transaction('rw', db.kept, async () => {
    const all = (await kept('drills')) ?? {};
    const was = all[name];
    await keep('drills', { ...all, [name]: { best: Math.max(score, was?.best ?? 0), last: score, times: (was?.times ?? 0) + 1 } });
  });
}
