import type { Told } from '#core/calendar';
import type { DaySpan } from '#core/document';
import { db, keep, kept } from './db';

/** What is remembered of notices for so long, ms: a thing that is a month past is not told again. */
const MONTH = 31 * 86_400_000;
const none: Told = { told: {}, putOff: {}, done: {} };

/** What was told on this device. */
export const readTold = async (): Promise<Told> => (await kept('notices')) ?? none;

const changed = (change: (told: Told) => Told): Promise<unknown> =>
  db.transaction('rw', db.kept, async () => {
    const now = Date.now();
    const fresh = (all: Record<string, number>): Record<string, number> =>
      Object.fromEntries(Object.entries(all).filter(([, at]) => at > now - MONTH));
    const { told, putOff, done, ...rest } = change(await readTold());
    await keep('notices', { ...rest, told: fresh(told), putOff: fresh(putOff), done: fresh(done) });
  });

/** Marks something as told by the system; false where another window told it already. */
export const tellOnce = (key: string, at: number): Promise<boolean> =>
  db.transaction('rw', db.kept, async () => {
    if ((await readTold()).told[key] !== undefined) return false;
    await changed((t) => ({ ...t, told: { ...t.told, [key]: at } }));
    return true;
  });

/** Seen to: it does not come back. */
export const seenTo = (key: string, at: number): Promise<unknown> => changed((t) => ({ ...t, done: { ...t.done, [key]: at } }));

/** Put off: it is told again once that moment is there. */
export const putOff = (key: string, until: number): Promise<unknown> =>
  changed((t) => ({
    ...t,
    putOff: { ...t.putOff, [key]: until },
    told: Object.fromEntries(Object.entries(t.told).filter(([k]) => k !== key)),
  }));

export const setQuiet = (quiet: DaySpan | undefined): Promise<unknown> =>
  changed(({ quiet: _, ...t }) => ({ ...t, ...(quiet && { quiet }) }));
export const setSystem = (system: boolean): Promise<unknown> => changed((t) => ({ ...t, system }));
