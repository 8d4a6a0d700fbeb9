import type { Piece } from '#core/document';
import { db, type Change, type Edit, type Edited } from './db';
import { holdReferences } from './held';

/** Edits kept for each piece, and for the shelf. */
const KEPT = 200;
/** Edits with the same mark within this time are one, ms. */
const MERGE = 1500;
/** What is not of one piece is undone in one of these. */
export const SHELF = 'the shelf';
export const SLOPES = 'the slopes';

const tables = [db.pieces, db.resins, db.colourants, db.vessels, db.stock, db.slopes, db.edits];
const inOne = <T>(body: () => Promise<T>): Promise<T> => db.transaction('rw', [...tables, db.pours, db.kept], body);

const of = (scope: string) => db.edits.where('scope').equals(scope);
/** The newest edit of a scope that is as asked for. Edits hold whole things, so that only as many are read as must be. */
const newest = (scope: string, asked: (edit: Edit) => boolean): Promise<Edit | undefined> => of(scope).reverse().filter(asked).first();

async function remember(scope: string, label: string, changes: Change[], mark?: string): Promise<void> {
  // what was taken back lies at the end, and can no longer be done again
  for (let last = await of(scope).last(); last?.undone; last = await of(scope).last()) await db.edits.delete(last.id);
  const last = await of(scope).last();
  const at = Date.now();
  if (mark && last?.mark === mark && at - last.at < MERGE) {
    const merged = last.changes.map(
      (c) => ({ ...c, after: changes.find((d) => d.table === c.table && d.id === c.id)?.after ?? c.after }) as Change,
    );
    await db.edits.update(last.id, { changes: merged, at });
    return;
  }
  const keys = await of(scope).primaryKeys();
  if (keys.length >= KEPT) await db.edits.bulkDelete(keys.slice(0, keys.length - KEPT + 1));
  await db.edits.add({ scope, label, changes, undone: 0, at, ...(mark && { mark }) });
}

/** Puts one side of changes in its place, and sees to it that whatever a piece, a slope or a container names is there. */
async function apply(changes: Change[], which: 'before' | 'after'): Promise<void> {
  for (const change of changes) {
    const row = change[which];
    await (row ? db.table(change.table).put(row) : db.table(change.table).delete(change.id));
  }
  await holdReferences(changes, which);
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
    const changes = [ofPiece(id, before, after)];
    await apply(changes, 'after');
    await remember(id, label, changes, mark);
  });
}

export function addPiece(piece: Piece): Promise<void> {
  return inOne(async () => {
    const changes = [ofPiece(piece.id, null, piece)];
    await apply(changes, 'after');
    await remember(piece.id, `Add ${piece.name}`, changes);
  });
}

export function removePiece(piece: Piece): Promise<void> {
  return inOne(async () => {
    await db.pieces.delete(piece.id);
    await remember(piece.id, `Remove ${piece.name}`, [ofPiece(piece.id, piece, null)]);
  });
}

/** Edits several pieces, all or none; each remembers it for its own undo. */
export function editPieces(label: string, edits: { id: string; change: (piece: Piece) => Piece }[]): Promise<void> {
  return inOne(async () => {
    for (const { id, change } of edits) {
      const before = await db.pieces.get(id);
      if (!before) throw new Error('One of these pieces is not in the studio any more; another window may have removed it.');
      const changes = [ofPiece(id, before, change(before))];
      await apply(changes, 'after');
      await remember(id, label, changes);
    }
  });
}

/**
 * One thing of the shelf, or a slope, to be put as it is given, or taken off where nothing is. With `was`, what it was
 * when it was looked at, only what is different in it is changed: another window may have changed the rest meanwhile.
 */
export type Row = {
  [T in Exclude<keyof Edited, 'pieces'>]: { table: T; id: string; row: Edited[T] | null; was?: Edited[T] };
}[Exclude<keyof Edited, 'pieces'>];

/** A stored thing with the fields of it that differ between two others. */
function withChanged<T extends object>(stored: T, was: T, now: T): T {
  const changed = { ...stored } as Record<string, unknown>;
  const [before, after] = [was as Record<string, unknown>, now as Record<string, unknown>];
  for (const key of new Set([...Object.keys(before), ...Object.keys(after)])) {
    if (JSON.stringify(before[key]) === JSON.stringify(after[key])) continue;
    if (key in after) changed[key] = after[key];
    else delete changed[key];
  }
  return changed as T;
}

/** Puts things of the shelf or slopes, changes them or takes them off, all or none, remembered as one for undo. */
export function editRows(scope: typeof SHELF | typeof SLOPES, label: string, rows: Row[], mark?: string): Promise<void> {
  return inOne(async () => {
    const changes: Change[] = [];
    for (const { table, id, row, was } of rows) {
      const before = ((await db.table(table).get(id)) as object | undefined) ?? null;
      if (was && !before) throw new Error(`This was taken off meanwhile, perhaps in another window, so nothing was changed.`);
      const after = row && was && before ? withChanged(before, was, row) : row;
      changes.push({ table, id, before, after } as Change);
    }
    await apply(changes, 'after');
    await remember(scope, label, changes, mark);
  });
}

/** What undo and redo would do in a scope; undefined where there is nothing. The adding of a piece is not undone. */
const canUndo = (e: Edit): boolean => !e.undone && !e.changes.every((c) => c.table === 'pieces' && !c.before);

/** The oldest edit that was taken back: what is done again first. */
async function oldestUndone(scope: string): Promise<Edit | undefined> {
  const standing = await newest(scope, (e) => !e.undone);
  return of(scope)
    .filter((e) => e.undone === 1 && e.id > (standing?.id ?? 0))
    .first();
}

export function undoable(scope: string): Promise<{ undo?: string; redo?: string }> {
  return db.transaction('r', db.edits, async () => {
    const undo = await newest(scope, canUndo);
    const redo = await oldestUndone(scope);
    return { ...(undo && { undo: undo.label }), ...(redo && { redo: redo.label }) };
  });
}

export function undo(scope: string): Promise<void> {
  return inOne(async () => {
    const edit = await newest(scope, canUndo);
    if (!edit) return;
    await apply(edit.changes, 'before');
    await db.edits.update(edit.id, { undone: 1 });
  });
}

export function redo(scope: string): Promise<void> {
  return inOne(async () => {
    const edit = await oldestUndone(scope);
    if (!edit) return;
    await apply(edit.changes, 'after');
    await db.edits.update(edit.id, { undone: 0 });
  });
}
