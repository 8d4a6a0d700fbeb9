import type { Piece, Planned, Pour, PourEvent, PouredCoats, Told, Verdict } from '#core/document';
import { db } from './db';

/** An event without the number and the moment the store gives it. */
export type Happening = PourEvent extends infer E ? (E extends PourEvent ? Omit<E, 'seq' | 'at'> : never) : never;

/** What a pour begins with: which coats of which pieces, what it was planned from, and what it is told. */
export interface Starting extends Pick<Pour, 'roomC'> {
  of: PouredCoats[];
  planned: Planned;
  told: Told;
}

const unplanned = ({ pourAt: _, ...piece }: Piece): Piece => piece;

/** Starts a pour; gives back its id. All it needs is stored with it, so that no later edit or version changes the record. */
export function startPour({ of, planned, told, roomC }: Starting): Promise<string> {
  return db.transaction('rw', [db.pours, db.pieces], async () => {
    const now = new Date();
    const id = `pour-${now.getTime().toString(36)}`;
    await db.pours.add({ id, of, planned, told, startedAt: now.toISOString(), roomC });
    // the planned moment has come; it would stand on the tide line twice
    for (const { pieceId } of of) {
      const piece = await db.pieces.get(pieceId);
      if (piece?.pourAt) await db.pieces.put(unplanned(piece));
    }
    return id;
  });
}

async function add(pourId: string, happening: Happening): Promise<void> {
  const last = await db.events.where('pourId').equals(pourId).last();
  const seq = (last?.seq ?? 0) + 1;
  await db.events.add({ ...happening, pourId, seq, at: new Date().toISOString() });
}

/** Adds an event to a pour, at this moment. It is on the disk when the promise resolves; nothing is ever changed or removed. */
export const record = (pourId: string, happening: Happening): Promise<void> =>
  db.transaction('rw', db.events, () => add(pourId, happening));

/** Gives a pour up, with a reason: its pieces stand as before, with the moment they were planned for. */
export function abandonPour(pourId: string, why: string): Promise<void> {
  return db.transaction('rw', [db.pours, db.pieces, db.events], async () => {
    await add(pourId, { kind: 'abandoned', why });
    const pour = await db.pours.get(pourId);
    for (const { id, pourAt } of pour?.planned.pieces ?? []) {
      const piece = await db.pieces.get(id);
      if (piece && pourAt && !piece.pourAt) await db.pieces.put({ ...piece, pourAt });
    }
  });
}

/** How a finished pour came out. */
export async function judge(pourId: string, judgement: { verdict?: Verdict; note?: string }): Promise<void> {
  await db.pours.update(pourId, judgement);
}
