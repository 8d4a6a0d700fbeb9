import assert from 'node:assert/strict';
import { test } from 'node:test';
import { sampleStored } from './stored';
import { openStudio, writeStudio } from '#core/document';
import { summaryOf } from '#core/record';
import { db } from '../../../src/lib/store/db';
import { changeSettings, editPiece } from '../../../src/lib/store/edits';
import { StudioRows, type Rows } from '../../../src/lib/store/followed';
import { abandonPour, judge, record, startPour } from '../../../src/lib/store/pours';
import { readPour, readPours, readStudio, replaceStudio } from '../../../src/lib/store/studio';

/** Follows what is stored; `next` gives what is told after some work. */
async function following(): Promise<{ now: () => Rows; next: (work: () => Promise<unknown>) => Promise<Rows>; stop: () => void }> {
  let latest: Rows | undefined;
  const rows = new StudioRows((told) => (latest = told));
  await rows.settled;
  const now = (): Rows => latest!;
  return {
    now,
    next: async (work) => {
      await work();
      await new Promise((resolve) => setTimeout(resolve, 20));
      await rows.settled;
      return now();
    },
    stop: () => rows.stop(),
  };
}

test('after an edit of one piece every other row is the same object, and so are the lists that hold none of it', async () => {
  await sampleStored();
  const { now, next, stop } = await following();
  const before = now();
  const after = await next(() => editPiece('kelp-cove-1', 'Rename it', (p) => ({ ...p, name: 'Renamed' })));
  assert.equal(after.pieces.find((p) => p.id === 'kelp-cove-1')!.name, 'Renamed');
  for (const piece of before.pieces) if (piece.id !== 'kelp-cove-1') assert.ok(after.pieces.includes(piece), piece.id);
  assert.equal(after.pieces.filter((p) => before.pieces.includes(p)).length, before.pieces.length - 1);
  for (const list of ['resins', 'colourants', 'rooms', 'vessels', 'stock', 'slopes', 'summaries', 'settings', 'method'] as const)
    assert.ok(after[list] === before[list], list);
  const again = await next(() => changeSettings({ volume: 'fl oz' }));
  assert.equal(again.settings.volume, 'fl oz');
  assert.ok(again.pieces === after.pieces && again.method === after.method);
  stop();
});

test('a studio put in the place of another is told whole: no piece of one beside the resins of the other', async () => {
  const studio = await sampleStored();
  const { next, stop } = await following();
  const other = { ...studio, pieces: studio.pieces.slice(0, 1), stock: [], slopes: [], pours: [] };
  const after = await next(() => replaceStudio(other));
  assert.deepEqual(after.pieces, other.pieces);
  assert.deepEqual([after.summaries, after.stock], [[], []]);
  stop();
});

test('what is put as it was is the same object', async () => {
  await sampleStored();
  const { now, next, stop } = await following();
  const before = now();
  const after = await next(async () => db.pieces.put(structuredClone(before.pieces[0]!)));
  assert.ok(after.pieces === before.pieces);
  stop();
});

test('what of a pour is listed is always what follows from its events', async () => {
  const studio = await sampleStored();
  const piece = studio.pieces[0]!;
  const { resins, colourants, method, rooms, pours } = studio;
  const planned = { pieces: [piece], resins, colourants, method, room: rooms[0]! };
  const starting = { of: [{ pieceId: piece.id, coatIds: [piece.coats[0]!.id] }], planned, told: pours[0]!.told!, roomC: 21 };
  const follows = async (): Promise<void> => {
    const whole = await readPours();
    assert.deepEqual(await db.summaries.toArray(), whole.map(summaryOf));
  };
  const id = await startPour(starting);
  await follows();
  await record(id, { kind: 'mixed', batch: 0 });
  await follows();
  await record(id, { kind: 'mixed', batch: 0 });
  assert.equal((await readPour(id))!.events.length, 1, 'tapped in two windows, it happened once');
  await record(id, { kind: 'done' });
  await judge(id, { verdict: 'make it again', note: 'bright' });
  await follows();
  const second = await startPour(starting);
  await abandonPour(second, 'the wrong board');
  await follows();
});

test('materials that are equal are stored once, however many pours were planned from them, and come back with each', async () => {
  const studio = await sampleStored();
  const distinct = new Set(studio.pours.flatMap(({ planned: p }) => [p.resins, p.colourants, p.method].map((v) => JSON.stringify(v))));
  assert.equal(await db.snapshots.count(), distinct.size);
  assert.ok(distinct.size < 3 * studio.pours.length);
  const text = writeStudio((await readStudio())!);
  assert.equal(text, writeStudio(studio));
  assert.ok(openStudio(text).ok);
});
