import assert from 'node:assert/strict';
import { test } from 'node:test';
import { emptied, sampleStored } from './stored';
import type { PourEvent } from '#core/document';
import { tell } from '#core/pour';
import { readSession, summaryOf, type Happening } from '#core/record';
import { means, planner } from '../../factories';
import { db } from '../../../src/lib/store/db';
import { HeldPour } from '../../../src/lib/store/held-pour';
import { heldText } from '../../../src/lib/store/held-text';
import { GoneError, isPouring, record, startPour } from '../../../src/lib/store/pours';
import { readPour } from '../../../src/lib/store/studio';

/** A pour of a panel of the sample, begun; gives back its id. */
async function begun(): Promise<string> {
  const studio = await sampleStored();
  const piece = studio.pieces.find((p) => p.id === 'kelp-cove-2')!;
  const own = { ...means, resins: studio.resins, colourants: studio.colourants };
  const plan = planner.plan(piece, own);
  const told = tell(planner.together([{ plan, pour: 0 }], own), 21);
  return startPour({
    of: [{ pieceId: piece.id, coatIds: plan.pours[0]!.coats.map((c) => c.coat.id) }],
    planned: { pieces: [piece], resins: studio.resins, colourants: studio.colourants, room: studio.rooms[0]!, method: studio.method },
    told,
    roomC: 21,
  });
}

const kinds = async (id: string): Promise<string[]> => (await readPour(id))!.events.map((e) => e.kind);

test('where the disk takes nothing more, what happens is held in its order with its moments, and goes to the disk once that can', async () => {
  const id = await begun();
  let full = false;
  let now = Date.parse('2026-11-25T14:00:00Z');
  let held: readonly PourEvent[] = [];
  const keeper = new HeldPour(
    id,
    (events) => (held = events),
    (pourId, happening, at) => {
      if (full) throw Object.assign(new Error('full'), { name: 'QuotaExceededError' });
      return record(pourId, happening, at);
    },
    () => now,
  );
  const stored = (await readPour(id))!.events;
  const happen = (happening: Happening) => keeper.happen(happening, () => [...stored, ...held]);
  full = true;
  assert.ok(await happen({ kind: 'mixed', batch: 0 }));
  now += 60_000;
  assert.ok(await happen({ kind: 'did', step: { does: 'thin', batch: 0 } }));
  assert.ok(await happen({ kind: 'did', step: { does: 'thin', batch: 0 } }), 'the same twice is held once');
  assert.ok(await happen({ kind: 'undone', undoes: held.at(-1)!.seq }));
  assert.deepEqual(
    held.map((e) => e.kind),
    ['mixed', 'did', 'undone'],
  );
  const file = JSON.parse(await heldText(id, held)) as { pours: { id: string; events: PourEvent[] }[] };
  assert.equal(file.pours.find((p) => p.id === id)!.events.length, 3, 'the file has what the disk has not');
  assert.deepEqual(await kinds(id), []);
  await assert.rejects(keeper.retry());
  // another window stored something meanwhile: what was taken back by its number still is
  await record(id, { kind: 'note', text: 'from the other window' });
  full = false;
  now += 60_000;
  assert.equal(await happen({ kind: 'held' }), undefined);
  assert.deepEqual(held, []);
  assert.deepEqual(await kinds(id), ['note', 'mixed', 'did', 'undone', 'held']);
  const pour = (await readPour(id))!;
  assert.equal(readSession(pour).doneAt.size, 1, 'mixed, and the thinning taken back');
  assert.equal(pour.events[1]!.at, '2026-11-25T14:00:00.000Z');
});

test('presses that come one upon the other are stored in their order', async () => {
  const id = await begun();
  const keeper = new HeldPour(id, () => undefined);
  await Promise.all(['a', 'b', 'c', 'd'].map((text) => keeper.happen({ kind: 'note', text }, () => [])));
  const notes = (await readPour(id))!.events.map((e) => (e.kind === 'note' ? e.text : ''));
  assert.deepEqual(notes, ['a', 'b', 'c', 'd']);
});

test('a pour that is not in the studio any more says so, and holds nothing', async () => {
  const id = await begun();
  const keeper = new HeldPour(id, () => undefined);
  await emptied();
  await assert.rejects(
    keeper.happen({ kind: 'held' }, () => []),
    GoneError,
  );
  assert.equal(keeper.held.length, 0);
});

test('a coat put off at the bench is a pour of its own on its piece, and joined again when that is taken back', async () => {
  const id = await begun();
  assert.equal(await isPouring(), true);
  const pour = (await readPour(id))!;
  const wave = pour.planned.pieces[0]!.coats.find((c) => c.kind === 'wave')!;
  const told = { ...pour.told!, coats: pour.told!.coats.filter((c) => c.coat !== wave.id) };
  const joined = async (): Promise<boolean> => (await db.pieces.get('kelp-cove-2'))!.coats.find((c) => c.id === wave.id)!.samePour;
  assert.equal(await joined(), true);
  const seq = await record(id, { kind: 'replanned', told, why: 'the white was late' });
  assert.equal(await joined(), false);
  assert.ok(!summaryOf((await readPour(id))!).of[0]!.coatIds.includes(wave.id));
  await record(id, { kind: 'undone', undoes: seq! });
  assert.equal(await joined(), true);
});
