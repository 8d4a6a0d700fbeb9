import type { Method, Piece, Room, Settings } from '#core/document';
import { db } from './db';
import type { Change, Edit, Edited, Habits } from './rows';
import { holdReferences } from './held';
import { patchBetween, patched } from './patch';
import { benchTables, pourTables } from './studio';

/** Edits kept for each piece, and for the shelf. */
const KEPT = 200;
/** Edits with the same mark within this time are one, ms. */
const MERGE = 1500;
/** What is not of one piece is undone in one of these. */
export const SHELF = 'the shelf';
export const SLOPES = 'the slopes';
export const SETTINGS = 'the settings';
export const CALENDAR = 'the calendar';
export const LOG = 'the log';
export type Scope = typeof SHELF | typeof SLOPES | typeof SETTINGS | typeof CALENDAR | typeof LOG;

const tables = [...benchTables, db.kept, db.edits, db.before];
const inOne = <T>(body: () => Promise<T>): Promise<T> => db.transaction('rw', [...tables, ...pourTables], body);

const of = (scope: string) => db.edits.where('scope').equals(scope);
/** The newest edit of a scope that is as asked for. */
const newest = (scope: string, asked: (edit: Edit) => boolean): Promise<Edit | undefined> => of(scope).reverse().filter(asked).first();

/** A thing by its id, or a habit by its name. */
async function rowOf(table: keyof Edited, id: string): Promise<object | undefined> {
  return table === 'kept' ? (await db.kept.get(id))?.value : ((await db.table(table).get(id)) as object | undefined);
}

async function putRow(table: keyof Edited, id: string, row: object | null): Promise<void> {
  if (table === 'kept') await db.kept.put({ name: id as keyof Habits, value: row as Settings | Method });
  else await (row ? db.table(table).put(row) : db.table(table).delete(id));
}

/** What became of one thing, as it is remembered: what was changed in it, or all of it where it came or went. */
function changeOf<T extends keyof Edited>(table: T, id: string, before: Edited[T] | null, after: Edited[T] | null): Change {
  const what = before && after ? { patch: patchBetween(before, after) } : { before, after };
  return { table, id, ...what } as Change;
}

/** Two changes in a row as one. */
function joined(first: Change[], second: Change[]): Change[] {
  const joins = first.map((a) => {
    const b = second.find((c) => c.table === a.table && c.id === a.id);
    if (!b) return a;
    if ('patch' in a) return 'patch' in b ? { ...a, patch: [...a.patch, ...b.patch] } : a;
    return 'patch' in b ? { ...a, after: a.after && patched(a.after, b.patch, 'forth') } : { ...a, after: b.after };
  }) as Change[];
  return [...joins, ...second.filter((b) => !first.some((a) => a.table === b.table && a.id === b.id))];
}

async function remember(scope: string, label: string, changes: Change[], mark?: string): Promise<void> {
  // what was taken back lies at the end, and can no longer be done again
  for (let last = await of(scope).last(); last?.undone; last = await of(scope).last()) await db.edits.delete(last.id);
  const last = await of(scope).last();
  const at = Date.now();
  if (mark && last?.mark === mark && at - last.at < MERGE) {
    await db.edits.update(last.id, { changes: joined(last.changes, changes), at });
    return;
  }
  const keys = await of(scope).primaryKeys();
  if (keys.length >= KEPT) await db.edits.bulkDelete(keys.slice(0, keys.length - KEPT + 1));
  await db.edits.add({ scope, label, changes, undone: 0, at, ...(mark && { mark }) });
}

/** One thing as it is, and as an edit leaves it. */
interface Step {
  table: keyof Edited;
  id: string;
  before: object | null;
  after: object | null;
}

/** Puts things as an edit leaves them, and sees to it that whatever a piece, a slope or a container names is there. */
async function put(steps: Step[]): Promise<void> {
  for (const { table, id, after } of steps) await putRow(table, id, after);
  await holdReferences(steps);
}

/** What an edit makes of the things it changed, as they are now. What went meanwhile stays gone. */
async function stepsOf(changes: Change[], way: 'forth' | 'back'): Promise<Step[]> {
  const steps: Step[] = [];
  for (const change of changes) {
    const { table, id } = change;
    const now = (await rowOf(table, id)) ?? null;
    if ('patch' in change) {
      if (now) steps.push({ table, id, before: now, after: patched(now, change.patch, way) });
    } else steps.push({ table, id, before: now, after: (way === 'forth' ? change.after : change.before) as object | null });
  }
  return steps;
}

const remembered = (steps: Step[]): Change[] =>
  steps.map(({ table, id, before, after }) =>
    changeOf(table, id, before as Edited[typeof table] | null, after as Edited[typeof table] | null),
  );

/** Stores what an edit does and remembers it for undo, in the transaction at hand. */
async function edit(scope: string, label: string, steps: Step[], mark?: string): Promise<void> {
  await put(steps);
  await remember(scope, label, remembered(steps), mark);
}

const GONE = 'is not in the studio any more; another window may have removed it.';

/**
 * Edits one stored thing and remembers it for undo, in one transaction. The change is made to what is stored by then.
 * @param label what was done, as in "Move the shoreline"
 * @param mark  edits with the same mark in quick succession are one
 * @throws where the thing is not there any more
 */
export function editThing<T extends Exclude<keyof Edited, 'kept'>>(
  table: T,
  id: string,
  scope: string,
  label: string,
  change: (thing: Edited[T]) => Edited[T],
  mark?: string,
): Promise<void> {
  return inOne(async () => {
    const before = (await rowOf(table, id)) as Edited[T] | undefined;
    if (!before) throw new Error(`This ${GONE}`);
    await edit(scope, label, [{ table, id, before, after: change(before) }], mark);
  });
}

/** Edits a stored piece. @throws where it is not there any more */
export const editPiece = (id: string, label: string, change: (piece: Piece) => Piece, mark?: string): Promise<void> =>
  editThing('pieces', id, id, label, change, mark);

/** Adds a piece. @throws where the browser will not keep it */
export const addPiece = (piece: Piece): Promise<void> =>
  inOne(async () => {
    await edit(piece.id, `Add ${piece.name}`, [{ table: 'pieces', id: piece.id, before: null, after: piece }]);
  });

/** Removes a piece, to be had back by the undo of its own scope. */
export const removePiece = (piece: Piece): Promise<void> =>
  inOne(async () => {
    const before = (await db.pieces.get(piece.id)) ?? piece;
    await edit(piece.id, `Remove ${piece.name}`, [{ table: 'pieces', id: piece.id, before, after: null }]);
  });

/** Edits several pieces, all or none; each remembers it for its own undo. */
export function editPieces(label: string, edits: { id: string; change: (piece: Piece) => Piece }[]): Promise<void> {
  return inOne(async () => {
    for (const { id, change } of edits) {
      const before = await db.pieces.get(id);
      if (!before) throw new Error(`One of these pieces ${GONE}`);
      await edit(id, label, [{ table: 'pieces', id, before, after: change(before) }]);
    }
  });
}

/**
 * One thing of the shelf, a slope, or what the calendar goes by, to be put as it is given, or taken off where nothing is. With `was`, what it was
 * when it was looked at, only what is different in it is changed: another window may have changed the rest meanwhile.
 */
export type Row = {
  [T in Exclude<keyof Edited, 'kept'>]: { table: T; id: string; row: Edited[T] | null; was?: Edited[T] };
}[Exclude<keyof Edited, 'kept'>];

/** Puts things of the shelf or slopes, changes them or takes them off, all or none, remembered as one for undo. */
export function editRows(scope: Scope, label: string, rows: Row[], mark?: string): Promise<void> {
  return inOne(async () => {
    const steps: Step[] = [];
    for (const { table, id, row, was } of rows) {
      const before = (await rowOf(table, id)) ?? null;
      if (was && !before) throw new Error(`This was taken off meanwhile, perhaps in another window, so nothing was changed.`);
      steps.push({ table, id, before, after: row && was && before ? patched(before, patchBetween(was, row), 'forth') : row });
    }
    await edit(scope, label, steps, mark);
  });
}

/** One thing of any table, by its id, or a habit by its name, and what an edit makes of it as it is by then. */
export interface Target {
  table: keyof Edited;
  id: string;
  change: (before: object | null) => object | null;
}

/** Changes things of several tables and habits at once, all or none, remembered as one for undo. */
export function editAll(scope: Scope, label: string, targets: readonly Target[]): Promise<void> {
  return inOne(async () => {
    const steps: Step[] = [];
    for (const { table, id, change } of targets) {
      const before = (await rowOf(table, id)) ?? null;
      steps.push({ table, id, before, after: change(before) });
    }
    await edit(scope, label, steps);
  });
}

/** Fields anew; one that is to be left out is given as undefined. */
type Fields<T> = { [K in keyof T]?: T[K] | undefined };

/** A thing with some fields anew. */
const withFields = <T extends object>(thing: T, change: Fields<T>): T =>
  Object.fromEntries(Object.entries({ ...thing, ...change }).filter(([, value]) => value !== undefined)) as T;

async function editHabit<K extends keyof Habits>(name: K, label: string, change: Fields<Habits[K]>): Promise<void> {
  await inOne(async () => {
    const before = await rowOf('kept', name);
    if (before)
      await edit(
        SETTINGS,
        label,
        [{ table: 'kept', id: name, before, after: withFields(before, change) }],
        `${name} ${Object.keys(change).join()}`,
      );
  });
}

/** Changes what the studio reads and writes in, or its habits; undone with the settings. */
export const changeSettings = (change: Fields<Settings>): Promise<void> => editHabit('settings', 'Change the settings', change);
/** Changes some of the studio’s habits. */
export const changeMethod = (change: Fields<Method>): Promise<void> => editHabit('method', 'Change the studio’s habits', change);
/** Changes some of a room. @throws where it is not there any more */
export const changeRoom = (id: string, change: Fields<Omit<Room, 'id'>>): Promise<void> =>
  editThing('rooms', id, SETTINGS, 'Change the room', (room) => withFields<Room>(room, change), `room ${Object.keys(change).join()}`);

/** Changes a room as it is stored by then, as parts of its heating or its places are. @throws where it is not there any more */
export const editRoom = (id: string, change: (room: Room) => Room, mark?: string): Promise<void> =>
  editThing('rooms', id, SETTINGS, 'Change the room', change, mark);

/** What undo and redo would do in a scope; undefined where there is nothing. The adding of a piece is not undone. */
const canUndo = (e: Edit): boolean => !e.undone && !e.changes.every((c) => c.table === 'pieces' && 'before' in c && !c.before);

/** The oldest edit that was taken back: what is done again first. */
async function oldestUndone(scope: string): Promise<Edit | undefined> {
  const inForce = await newest(scope, (e) => !e.undone);
  return of(scope)
    .filter((e) => e.undone === 1 && e.id > (inForce?.id ?? 0))
    .first();
}

/** What undo and redo would do in a scope, in words; nothing where there is nothing. */
export function undoable(scope: string): Promise<{ undo?: string; redo?: string }> {
  return db.transaction('r', db.edits, async () => {
    const undo = await newest(scope, canUndo);
    const redo = await oldestUndone(scope);
    return { ...(undo && { undo: undo.label }), ...(redo && { redo: redo.label }) };
  });
}

/** Takes back the newest edit of a scope: what it changed, and nothing that was changed beside it. */
export function undo(scope: string): Promise<void> {
  return inOne(async () => {
    const last = await newest(scope, canUndo);
    if (!last) return;
    await put(await stepsOf(last.changes, 'back'));
    await db.edits.update(last.id, { undone: 1 });
  });
}

/** Does the oldest edit that was taken back again. */
export function redo(scope: string): Promise<void> {
  return inOne(async () => {
    const next = await oldestUndone(scope);
    if (!next) return;
    await put(await stepsOf(next.changes, 'forth'));
    await db.edits.update(next.id, { undone: 0 });
  });
}
