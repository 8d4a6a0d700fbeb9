import { vesselsOf } from '#core/craft';
import type { Piece, Pour, PourEvent, Slope, Stock, Studio, Vessel } from '#core/document';
import { db, keep, kept, type StoredEvent, type StoredPour } from './db';

const plainEvent = ({ pourId: _, ...event }: StoredEvent): PourEvent => event as PourEvent;

/** A pour as stored, with its events. */
export const withEvents = (pour: StoredPour, events: StoredEvent[]): Pour => ({ ...pour, events: events.map(plainEvent) });

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

/** Every pour with its events, in order of their numbers. */
export async function readPours(): Promise<Pour[]> {
  const [pours, events] = await Promise.all([db.pours.toArray(), db.events.toArray()]);
  const byPour = eventsByPour(events);
  return pours.map((pour) => withEvents(pour, byPour.get(pour.id) ?? []));
}

export const readPiece = (id: string): Promise<Piece | undefined> => db.pieces.get(id);

export async function readPour(id: string): Promise<Pour | undefined> {
  const [pour, events] = await Promise.all([db.pours.get(id), db.events.where('pourId').equals(id).sortBy('seq')]);
  return pour && withEvents(pour, events);
}

const everything = [db.pieces, db.resins, db.colourants, db.rooms, db.vessels, db.stock, db.slopes, db.pours, db.events, db.kept, db.edits];

/** Whether this browser has been started in before: by anything that is stored, since a row may be gone. */
export async function isStarted(): Promise<boolean> {
  for (const table of [db.kept, db.pieces, db.pours, db.resins]) if (await table.count()) return true;
  return false;
}

/** Whether a studio that was replaced can be brought back. */
export const hasBefore = async (): Promise<boolean> => (await db.kept.get('before')) !== undefined;

/** A studio without its pours, with its shelf and its slopes. */
export type Bench = Omit<Studio, 'pours' | 'format' | 'version'> & { vessels: Vessel[]; stock: Stock[]; slopes: Slope[] };

/** The studio without its pours, as it stood at one moment; undefined before the first start. */
export function readBench(): Promise<Bench | undefined> {
  return db.transaction('r', [db.pieces, db.resins, db.colourants, db.rooms, db.vessels, db.stock, db.slopes, db.kept], async () => {
    const settings = await kept('settings');
    const method = await kept('method');
    if (!settings || !method) return undefined;
    const [rooms, resins, colourants, pieces, vessels, stock, slopes] = await Promise.all([
      db.rooms.toArray(),
      db.resins.toArray(),
      db.colourants.toArray(),
      db.pieces.toArray(),
      db.vessels.toArray(),
      db.stock.toArray(),
      db.slopes.toArray(),
    ]);
    return { settings, method, rooms, resins, colourants, pieces, vessels, stock, slopes };
  });
}

/** The whole studio as one document, or undefined before the first start. */
export function readStudio(): Promise<Studio | undefined> {
  return db.transaction('r', everything, async () => {
    const bench = await readBench();
    return bench && { format: 'nerite-studio', version: 2, ...bench, pours: await readPours() };
  });
}

/**
 * Puts a studio in the place of the one here, whole or not at all, and keeps the one that was here. Edits of pieces
 * that are gone are forgotten.
 */
export function replaceStudio(studio: Studio): Promise<void> {
  return db.transaction('rw', everything, async () => {
    const before = await readStudio();
    await Promise.all(everything.map((table) => table.clear()));
    await keep('settings', studio.settings);
    await keep('method', studio.method);
    if (before) await keep('before', before);
    await Promise.all([
      db.rooms.bulkAdd(studio.rooms),
      db.resins.bulkAdd(studio.resins),
      db.colourants.bulkAdd(studio.colourants),
      db.pieces.bulkAdd(studio.pieces),
      db.vessels.bulkAdd(vesselsOf(studio)),
      db.stock.bulkAdd(studio.stock ?? []),
      db.slopes.bulkAdd(studio.slopes ?? []),
      db.pours.bulkAdd(studio.pours.map(({ events: _, ...pour }) => pour)),
      db.events.bulkAdd(studio.pours.flatMap((pour) => pour.events.map((event) => ({ ...event, pourId: pour.id })))),
    ]);
  });
}
