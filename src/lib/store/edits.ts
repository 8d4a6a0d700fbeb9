import type { Piece } from '#core/document';
import { db, type Change, type Edit, type Edited } from './db';

/** Edits kept for each piece, and for the shelf. */
const KEPT = 200;
/** Edits with the same mark within this time are one, ms. */
const MERGE = 1500;
/** What is not of one piece is undone in one of these. */
export const SHELF = 'the shelf';
export const SLOPES = 'the slopes';

const tables = [db.pieces, db.resins, db.colourants, db.vessels, db.stock, db.slopes, db.edits];
const inOne = <T>(body: () => Promise<T>): Promise<T> => db.transaction('rw', tables, body);

const of = (scope: string): Promise<Edit[]> => db.edits.where('scope').equals(scope).sortBy('id');

async function remember(scope: string, label: string, changes: Change[], mark?: string): Promise<void> {
  const edits = await of(scope);
  await db.edits.bulkDelete(edits.filter((e) => e.undone).map((e) => e.id));
  const standing = edits.filter((e) => !e.undone);
  const last = standing.at(-1);
  const at = Date.now();
  if (mark && last?.mark === mark && at - last.at < MERGE) {
    const merged = last.changes.map(
      (c) => ({ ...c, after: changes.find((d) => d.table === c.table && d.id === c.id)?.after ?? c.after }) as Change,
    );
    await db.edits.update(last.id, { changes: merged, at });
    return;
  }
  await db.edits.bulkDelete(standing.slice(0, Math.max(0, standing.length - KEPT + 1)).map((e) => e.id));
  await db.edits.add({ scope, label, changes, undone: 0, at, ...(mark && { mark }) });
}

async function put(changes: Change[], which: 'before' | 'after'): Promise<void> {
  for (const change of changes) {
    const row = change[which];
    await (row ? db.table(change.table).put(row) : db.table(change.table).delete(change.id));
  }
}

const ofPiece = (id: string, before: Piece | null, after: Piece | null): Change => ({ table: 'pieces', id, before, after });

/**
 * Edits a stored piece and remembers it for undo, in one transaction.
 * @param label what was done, as in "Move the shoreline"
 * @param mark  edits with the same mark in quick succession are one
 * @throws where the piece is not there any more
 */
export function editPiece(id: string, label: string, change: (piece: Piece) => Piece, mark?: string): Promise<void> {
  return inOne(async () => {
    const before = await db.pieces.get(id);
    if (!before) throw new Error('This piece is not in the studio any more; another window may have removed it.');
    const after = change(before);
    await db.pieces.put(after);
    await remember(id, label, [ofPiece(id, before, after)], mark);
  });
}

export function addPiece(piece: Piece): Promise<void> {
  return inOne(async () => {
    await db.pieces.add(piece);
    await remember(piece.id, `Add ${piece.name}`, [ofPiece(piece.id, null, piece)]);
  });
}

export function removePiece(piece: Piece): Promise<void> {
  return inOne(async () => {
    await db.pieces.delete(piece.id);
    await remember(piece.id, `Remove ${piece.name}`, [ofPiece(piece.id, piece, null)]);
  });
}

/** Puts several pieces as they are given, whole or not at all; each remembers it for its own undo. */
export function editPieces(label: string, pieces: Piece[]): Promise<void> {
  return inOne(async () => {
    for (const piece of pieces) {
      const before = await db.pieces.get(piece.id);
      if (!before) throw new Error('One of these pieces is not in the studio any more; another window may have removed it.');
      await db.pieces.put(piece);
      await remember(piece.id, label, [ofPiece(piece.id, before, piece)]);
    }
  });
}

/** One thing of the shelf, or a slope, to be put as it is given, or taken off where nothing is. */
export type Row = { [T in Exclude<keyof Edited, 'pieces'>]: { table: T; id: string; row: Edited[T] | null } }[Exclude<
  keyof Edited,
  'pieces'
>];

/** Puts things of the shelf or slopes, changes them or takes them off, all or none, remembered as one for undo. */
export function editRows(scope: typeof SHELF | typeof SLOPES, label: string, rows: Row[], mark?: string): Promise<void> {
  return inOne(async () => {
    const changes: Change[] = [];
    for (const { table, id, row } of rows)
      changes.push({ table, id, before: ((await db.table(table).get(id)) as never) ?? null, after: row as never });
    await put(changes, 'after');
    await remember(scope, label, changes, mark);
  });
}

/** What undo and redo would do in a scope; undefined where there is nothing. The adding of a piece is not undone. */
const canUndo = (e: Edit): boolean => !e.undone && !e.changes.every((c) => c.table === 'pieces' && !c.before);

export async function undoable(scope: string): Promise<{ undo?: string; redo?: string }> {
  const edits = await of(scope);
  const undo = edits.findLast(canUndo);
  const redo = edits.find((e) => e.undone);
  return { ...(undo && { undo: undo.label }), ...(redo && { redo: redo.label }) };
}

export function undo(scope: string): Promise<void> {
  return inOne(async () => {
    const edit = (await of(scope)).findLast(canUndo);
    if (!edit) return;
    await put(edit.changes, 'before');
    await db.edits.update(edit.id, { undone: 1 });
  });
}

export function redo(scope: string): Promise<void> {
  return inOne(async () => {
    const edit = (await of(scope)).find((e) => e.undone);
    if (!edit) return;
    await put(edit.changes, 'after');
    await db.edits.update(edit.id, { undone: 0 });
  });
}
