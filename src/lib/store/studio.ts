import { vesselsOf } from '#core/craft';
import type { AirDay, DiaryEntry, Learned, Photo, Piece, Pour, PourEvent, Slope, Stock, Studio, Vessel } from '#core/document';
import { summaryOf } from '#core/record';
import { beforeRows } from './before-rows';
import { db, keep, kept } from './db';
import type { Snapshot, StoredEvent, StoredPour } from './rows';
import { plannedWith, storedPlanned } from './snapshots';

const plainEvent = ({ pourId: _, ...event }: StoredEvent): PourEvent => event as PourEvent;

/** Stored events by the pour they belong to, in their order. */
export function eventsByPour(events: StoredEvent[]): Map<string, StoredEvent[]> {
  const byPour = new Map<string, StoredEvent[]>();
  for (const event of events) {
    const own = byPour.get(event.pourId);
    if (own) own.push(event);
    else byPour.set(event.pourId, [event]);
  }
  return byPour;
}

/** A pour as stored, with its snapshots and its events. */
export const wholePour = (pour: StoredPour, snapshots: ReadonlyMap<number, Snapshot['value']>, events: StoredEvent[]): Pour => ({
  ...pour,
  planned: plannedWith(pour.planned, snapshots),
  events: events.map(plainEvent),
});

/** Snapshots by their number. */
export const snapshotValues = (rows: Snapshot[]): ReadonlyMap<number, Snapshot['value']> => new Map(rows.map((s) => [s.id, s.value]));

/** Tables a pour stands in. */
export const pourTables = [db.pours, db.events, db.summaries, db.snapshots];

/** Every pour whole, in order of their numbers; lists make do with the summaries. */
export async function readPours(): Promise<Pour[]> {
  const [pours, events, snapshots] = await Promise.all([db.pours.toArray(), db.events.toArray(), db.snapshots.toArray()]);
  const [byPour, values] = [eventsByPour(events), snapshotValues(snapshots)];
  return pours.map((pour) => wholePour(pour, values, byPour.get(pour.id) ?? []));
}

/** A piece, where it is there. */
export const readPiece = (id: string): Promise<Piece | undefined> => db.pieces.get(id);

/** A pour whole, where it is there. */
export async function readPour(id: string): Promise<Pour | undefined> {
  const pour = await db.pours.get(id);
  if (!pour) return undefined;
  const { resins, colourants, method } = pour.planned;
  const [events, snapshots] = await Promise.all([
    db.events.where('pourId').equals(id).sortBy('seq'),
    db.snapshots.bulkGet([resins, colourants, method]),
  ]);
  return wholePour(pour, snapshotValues(snapshots.filter((s) => s !== undefined)), events);
}

/** Stores a pour whole, and what of it is listed. Within the caller's transaction. */
export async function putPour({ events, planned, ...pour }: Pour): Promise<void> {
  const [stored] = await storedPlanned(db.snapshots, [planned]);
  await db.pours.put({ ...pour, planned: stored! });
  await db.events.bulkPut(events.map((event) => ({ ...event, pourId: pour.id })));
  await db.summaries.put(summaryOf({ ...pour, planned, events }));
}

/** Brings what of a pour is listed up to what has happened in it. Within the transaction that changed it. */
export async function summarize(id: string): Promise<void> {
  const pour = await readPour(id);
  if (pour) await db.summaries.put(summaryOf(pour));
}

/** Tables of what is edited by hand. */
export const benchTables = [
  db.pieces,
  db.resins,
  db.colourants,
  db.rooms,
  db.vessels,
  db.stock,
  db.slopes,
  db.air,
  db.diary,
  db.photos,
  db.learned,
];
const everything = [...benchTables, ...pourTables, db.kept, db.edits, db.before];

/** Whether this browser has been started in before: by anything that is stored, since a row may be gone. */
export async function isStarted(): Promise<boolean> {
  for (const table of [db.kept, db.pieces, db.pours, db.resins]) if (await table.count()) return true;
  return false;
}

/** A studio without its pours, with its shelf, its slopes and its air. */
export type WithoutPours = Omit<Studio, 'pours' | 'format' | 'version'> & {
  vessels: Vessel[];
  stock: Stock[];
  slopes: Slope[];
  air: AirDay[];
  diary: DiaryEntry[];
  photos: Photo[];
  learned: Learned[];
};

async function readWithoutPours(): Promise<WithoutPours | undefined> {
  const settings = await kept('settings');
  const method = await kept('method');
  if (!settings || !method) return undefined;
  const [pieces, resins, colourants, rooms, vessels, stock, slopes, air, diary, photos, learned] = await Promise.all([
    db.pieces.toArray(),
    db.resins.toArray(),
    db.colourants.toArray(),
    db.rooms.toArray(),
    db.vessels.toArray(),
    db.stock.toArray(),
    db.slopes.toArray(),
    db.air.toArray(),
    db.diary.toArray(),
    db.photos.toArray(),
    db.learned.toArray(),
  ]);
  return { settings, method, rooms, resins, colourants, pieces, vessels, stock, slopes, air, diary, photos, learned };
}

/** The whole studio as one document, as it stood at one moment; undefined before the first start. */
export function readStudio(): Promise<Studio | undefined> {
  return db.transaction('r', everything, async () => {
    const studio = await readWithoutPours();
    return studio && { format: 'nerite-studio', version: 2, ...studio, pours: await readPours() };
  });
}

/**
 * Puts a studio in the place of the one here, whole or not at all, and keeps the one that was here. Edits of pieces
 * that are gone are forgotten.
 */
export function replaceStudio(studio: Studio): Promise<void> {
  return db.transaction('rw', everything, async () => {
    const before = await readStudio();
    const rows = before ? beforeRows(before) : await db.before.toArray();
    await Promise.all(everything.map((table) => table.clear()));
    await keep('settings', studio.settings);
    await keep('method', studio.method);
    await Promise.all([
      db.before.bulkPut(rows),
      db.rooms.bulkAdd(studio.rooms),
      db.resins.bulkAdd(studio.resins),
      db.colourants.bulkAdd(studio.colourants),
      db.pieces.bulkAdd(studio.pieces),
      db.vessels.bulkAdd(vesselsOf(studio)),
      db.stock.bulkAdd(studio.stock ?? []),
      db.slopes.bulkAdd(studio.slopes ?? []),
      db.air.bulkAdd(studio.air ?? []),
      db.diary.bulkAdd(studio.diary ?? []),
      db.photos.bulkAdd(studio.photos ?? []),
      db.learned.bulkAdd(studio.learned ?? []),
    ]);
    const planned = await storedPlanned(
      db.snapshots,
      studio.pours.map((pour) => pour.planned),
    );
    await Promise.all([
      db.pours.bulkAdd(studio.pours.map(({ events: _, ...pour }, i) => ({ ...pour, planned: planned[i]! }))),
      db.events.bulkAdd(studio.pours.flatMap((pour) => pour.events.map((event) => ({ ...event, pourId: pour.id })))),
      db.summaries.bulkAdd(studio.pours.map(summaryOf)),
    ]);
  });
}
