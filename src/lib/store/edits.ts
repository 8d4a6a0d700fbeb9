import type { Piece } from '#core/document';
import { db, type Edit } from './db';

/** Edits kept for each piece. */
const KEPT = 200;
/** Edits with the same mark within this time are one, ms. */
const MERGE = 1500;

const of = (pieceId: string): Promise<Edit[]> => db.edits.where('pieceId').equals(pieceId).sortBy('id');

async function remember(pieceId: string, label: string, before: Piece | null, after: Piece | null, mark?: string): Promise<void> {
  const edits = await of(pieceId);
  await db.edits.bulkDelete(edits.filter((e) => e.undone).map((e) => e.id));
  const standing = edits.filter((e) => !e.undone);
  const last = standing.at(-1);
  const at = Date.now();
  if (mark && last?.mark === mark && at - last.at < MERGE) {
    await db.edits.update(last.id, { after, at });
    return;
  }
  await db.edits.bulkDelete(standing.slice(0, Math.max(0, standing.length - KEPT + 1)).map((e) => e.id));
  await db.edits.add({ pieceId, label, before, after, undone: 0, at, ...(mark && { mark }) });
}

const put = (pieceId: string, piece: Piece | null): Promise<unknown> => (piece ? db.pieces.put(piece) : db.pieces.delete(pieceId));

/**
 * Edits a stored piece and remembers it for undo, in one transaction.
 * @param label what was done, as in "Move the shoreline"
 * @param mark  edits with the same mark in quick succession are one
 * @throws where the piece is not there any more
 */
export function editPiece(id: string, label: string, change: (piece: Piece) => Piece, mark?: string): Promise<void> {
  return db.transaction('rw', db.pieces, db.edits, async () => {
    const before = await db.pieces.get(id);
    if (!before) throw new Error('This piece is not in the studio any more; another window may have removed it.');
    const after = change(before);
    await db.pieces.put(after);
    await remember(id, label, before, after, mark);
  });
}

export function addPiece(piece: Piece): Promise<void> {
  return db.transaction('rw', db.pieces, db.edits, async () => {
    await db.pieces.add(piece);
    await remember(piece.id, `Add ${piece.name}`, null, piece);
  });
}

export function removePiece(piece: Piece): Promise<void> {
  return db.transaction('rw', db.pieces, db.edits, async () => {
    await db.pieces.delete(piece.id);
    await remember(piece.id, `Remove ${piece.name}`, piece, null);
  });
}

/** What undo and redo would do to a piece; undefined where there is nothing. The adding of a piece is not undone. */
export async function undoable(pieceId: string): Promise<{ undo?: string; redo?: string }> {
  const edits = await of(pieceId);
  const undo = edits.findLast((e) => !e.undone && e.before);
  const redo = edits.find((e) => e.undone);
  return { ...(undo && { undo: undo.label }), ...(redo && { redo: redo.label }) };
}

export function undo(pieceId: string): Promise<void> {
  return db.transaction('rw', db.pieces, db.edits, async () => {
    const edit = (await of(pieceId)).findLast((e) => !e.undone && e.before);
    if (!edit) return;
    await put(pieceId, edit.before);
    await db.edits.update(edit.id, { undone: 1 });
  });
}

export function redo(pieceId: string): Promise<void> {
  return db.transaction('rw', db.pieces, db.edits, async () => {
    const edit = (await of(pieceId)).find((e) => e.undone);
    if (!edit) return;
    await put(pieceId, edit.after);
    await db.edits.update(edit.id, { undone: 0 });
  });
}

/** Puts several pieces as they are given, whole or not at all; each remembers it for its own undo. */
export function editPieces(label: string, pieces: Piece[]): Promise<void> {
  return db.transaction('rw', db.pieces, db.edits, async () => {
    for (const piece of pieces) {
      const before = await db.pieces.get(piece.id);
      if (!before) throw new Error('One of these pieces is not in the studio any more; another window may have removed it.');
      await db.pieces.put(piece);
      await remember(piece.id, label, before, piece);
    }
  });
}
