import assert from 'node:assert/strict';
import { test } from 'node:test';
import { sampleStored } from './stored';
import Dexie from 'dexie';
import fc from 'fast-check';
import { withFilm, withoutCoat, withPoint } from '#core/edit';
import type { Piece, Studio } from '#core/document';
import { db } from '../../../src/lib/store/db';
import {
  addPiece,
  changeMethod,
  changeRoom,
  changeSettings,
  editPiece,
  editRows,
  editThing,
  redo,
  removePiece,
  SETTINGS,
  SHELF,
  SLOPES,
  undo,
  undoable,
} from '../../../src/lib/store/edits';
import { startPour } from '../../../src/lib/store/pours';
import { readStudio } from '../../../src/lib/store/studio';
import { the } from '../../factories';

const COVE = 'kelp-cove-1';
const cove = async (): Promise<Piece> => (await db.pieces.get(COVE))!;
const seaOf = (p: Piece): string => the(p, 'sea').id;

/** Edits of everything that can be edited, each with the scope it is undone in. */
const edits: { scope: string; does: (studio: Studio) => Promise<void> }[] = [
  { scope: COVE, does: () => editPiece(COVE, 'Thin the sea', (p) => withFilm(p, seaOf(p), 1.1)) },
  { scope: COVE, does: () => editPiece(COVE, 'Move the shore', (p) => withPoint(p, 'shoreline', 1, { x: 120, y: 210 })) },
  { scope: COVE, does: () => editPiece(COVE, 'Take off a coat', (p) => withoutCoat(p, p.coats.at(-1)!.id)) },
  {
    scope: SHELF,
    does: ({ resins: [resin] }) => editRows(SHELF, 'Rename a resin', [{ table: 'resins', id: resin!.id, row: { ...resin!, name: 'R' } }]),
  },
  { scope: SHELF, does: ({ vessels: [cup] = [] }) => editRows(SHELF, 'Take off a cup', [{ table: 'vessels', id: cup!.id, row: null }]) },
  { scope: SLOPES, does: ({ slopes: [slope] = [] }) => editThing('slopes', slope!.id, SLOPES, 'Turn it', (s) => ({ ...s, turn: 33 })) },
  { scope: SETTINGS, does: () => changeSettings({ length: 'in' }) },
  { scope: SETTINGS, does: () => changeMethod({ spare: 0.11 }) },
  { scope: SETTINGS, does: ({ rooms: [room] }) => changeRoom(room!.id, { dayC: 25 }) },
];

test('undo of everything that was done is as if nothing had been; redo is as if nothing had been undone', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(fc.constantFrom(...edits), { minLength: 1, maxLength: 6 }), async (list) => {
      await sampleStored();
      const before = (await readStudio())!;
      for (const edit of list) await edit.does(before);
      const after = await readStudio();
      const scopes = [...new Set(list.map((e) => e.scope))];
      for (const scope of scopes) while ((await undoable(scope)).undo) await undo(scope);
      assert.deepEqual(await readStudio(), before);
      for (const scope of scopes) while ((await undoable(scope)).redo) await redo(scope);
      assert.deepEqual(await readStudio(), after);
    }),
    { numRuns: 12 },
  );
});

test('a piece that was taken off comes back whole, and its coming is not undone', async () => {
  await sampleStored();
  const piece = { ...(await cove()), id: 'new-one', name: 'New one' };
  await addPiece(piece);
  assert.equal((await undoable('new-one')).undo, undefined);
  await removePiece(piece);
  await undo('new-one');
  assert.deepEqual(await db.pieces.get('new-one'), piece);
});

test('quick edits of the same thing are one', async () => {
  await sampleStored();
  const before = await cove();
  for (const film of [1.9, 1.8, 1.7]) await editPiece(COVE, 'Thin the sea', (p) => withFilm(p, seaOf(p), film), 'film');
  await undo(COVE);
  assert.deepEqual(await cove(), before);
  await redo(COVE);
  assert.deepEqual(await cove(), withFilm(before, seaOf(before), 1.7));
});

/** Another window: a connection of its own, that knows nothing of this one. */
async function inAnotherWindow(work: (other: Dexie) => Promise<void>): Promise<void> {
  const other = await new Dexie('nerite').open();
  await work(other);
  other.close();
}

test('undoing here leaves what another window did to the same piece', async () => {
  await sampleStored();
  await editPiece(COVE, 'Thin the sea', (p) => withFilm(p, seaOf(p), 1.1));
  await inAnotherWindow(async (other) => {
    const piece = (await other.table('pieces').get(COVE)) as Piece;
    await other.table('pieces').put({ ...piece, name: 'Renamed elsewhere', dueOn: '2026-12-24' });
  });
  await undo(COVE);
  const piece = await cove();
  assert.deepEqual([piece.name, piece.dueOn], ['Renamed elsewhere', '2026-12-24']);
  assert.notEqual(
    piece.coats.find((c) => c.id === seaOf(piece)),
    1.1,
  );
});

test('an edit is made to what is stored by then, not to what was looked at', async () => {
  const { stock } = await sampleStored();
  const looked = stock![0]!;
  await inAnotherWindow(async (other) => void (await other.table('stock').put({ ...looked, price: 99 })));
  await editRows(SHELF, 'Rename it', [{ table: 'stock', id: looked.id, row: { ...looked, name: 'Mine' }, was: looked }]);
  assert.deepEqual(await db.stock.get(looked.id), { ...looked, price: 99, name: 'Mine' });
});

test('an edit that fails half-way leaves nothing behind', async () => {
  const studio = await sampleStored();
  const used = studio.resins.find((r) => studio.pieces.some((p) => p.coats.some((c) => c.resinId === r.id)))!;
  const cup = studio.vessels![0]!;
  const before = await readStudio();
  await assert.rejects(
    editRows(SHELF, 'Clear the shelf', [
      { table: 'vessels', id: cup.id, row: null },
      { table: 'resins', id: used.id, row: null },
    ]),
    /stays on the shelf/,
  );
  assert.deepEqual(await readStudio(), before);
  assert.deepEqual(await undoable(SHELF), {});
});

test('undoing what was edited before a pour does not take the start of the pour back by half', async () => {
  const studio = await sampleStored((s) => ({
    ...s,
    pieces: s.pieces.map((p) => (p.id === COVE ? { ...p, pourAt: '2026-11-27T18:00:00.000Z' } : p)),
  }));
  const piece = studio.pieces.find((p) => p.id === COVE)!;
  await editPiece(COVE, 'Thin the sea', (p) => withFilm(p, seaOf(p), 1.1));
  const { resins, colourants, method, rooms } = studio;
  await startPour({
    of: [{ pieceId: COVE, coatIds: [piece.coats[0]!.id] }],
    planned: { pieces: [piece], resins, colourants, method, room: rooms[0]! },
    told: studio.pours[0]!.told!,
    roomC: 21,
  });
  assert.equal((await cove()).pourAt, undefined);
  await undo(COVE);
  assert.equal((await cove()).pourAt, undefined, 'it is being poured: the moment it was planned for stays past');
  assert.equal((await db.summaries.filter((s) => s.done === undefined).toArray()).length, 1);
});
