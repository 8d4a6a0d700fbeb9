import type { Piece, PourEvent, Verdict } from '#core/document';
import { db, kept } from './db';

/** An event without the number and the moment the store gives it. */
export type Happening = PourEvent extends infer E ? (E extends PourEvent ? Omit<E, 'seq' | 'at'> : never) : never;

/** Starts a pour of some coats of a piece, with all it is planned from; gives back its id. */
export function startPour(piece: Piece, coatIds: string[], roomC: number): Promise<string> {
  return db.transaction('rw', [db.pours, db.pieces, db.resins, db.colourants, db.rooms, db.kept], async () => {
    const settings = await kept('settings');
    const method = await kept('method');
    const room = settings && (await db.rooms.get(settings.roomId));
    if (!method || !room) throw new Error('The studio has no room yet. Give one in Settings.');
    const now = new Date();
    const id = `pour-${now.getTime().toString(36)}`;
    const { pourAt: _, ...plain } = piece;
    await db.pours.add({
      id,
      pieceId: piece.id,
      coatIds,
      planned: { piece: plain, resins: await db.resins.toArray(), colourants: await db.colourants.toArray(), room, method },
      startedAt: now.toISOString(),
      roomC,
    });
    // the planned moment has come; it would stand on the tide line twice
    if (piece.pourAt) await db.pieces.put(plain);
    return id;
  });
}

/** Adds an event to a pour, at this moment. It is on the disk when the promise resolves; nothing is ever changed or removed. */
export function record(pourId: string, happening: Happening): Promise<void> {
  return db.transaction('rw', db.events, async () => {
    const last = await db.events.where('pourId').equals(pourId).last();
    const seq = (last?.seq ?? 0) + 1;
    await db.events.add({ ...happening, pourId, seq, at: new Date().toISOString() });
  });
}

/** How a finished pour came out. */
export async function judge(pourId: string, judgement: { verdict?: Verdict; note?: string }): Promise<void> {
  await db.pours.update(pourId, judgement);
}
