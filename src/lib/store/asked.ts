import type { Asked } from '#core/calendar';
import { db, kept } from './db';

/** What a calendar follows from, as it is stored; undefined before the first start. For a worker: it reads every piece. */
export function readAsked(): Promise<Omit<Asked, 'benchC' | 'zone' | 'now'> | undefined> {
  const tables = [db.pieces, db.summaries, db.diary, db.resins, db.colourants, db.rooms, db.air, db.kept];
  return db.transaction('r', tables, async () => {
    const [settings, method] = [await kept('settings'), await kept('method')];
    if (!settings || !method) return undefined;
    const [pieces, summaries, diary, resins, colourants, rooms, air] = await Promise.all([
      db.pieces.toArray(),
      db.summaries.toArray(),
      db.diary.toArray(),
      db.resins.toArray(),
      db.colourants.toArray(),
      db.rooms.toArray(),
      db.air.toArray(),
    ]);
    return { pieces, summaries, diary, resins, colourants, method, rooms, settings, air };
  });
}
