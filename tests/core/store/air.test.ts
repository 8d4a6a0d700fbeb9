import assert from 'node:assert/strict';
import { test } from 'node:test';
import { leftBy, sampleStored } from './stored';
import { readingsOf } from '#core/air';
import { movedTo } from '#core/edit';
import { openStudio, writeStudio } from '#core/document';
import { addReadings, recordAir, removeReadings } from '../../../src/lib/store/air';
import { db } from '../../../src/lib/store/db';
import { redo, SETTINGS, undo } from '../../../src/lib/store/edits';
import { readStudio } from '../../../src/lib/store/studio';
import { sample } from '../../factories';

const noon = Date.parse('2026-11-25T12:00:00Z');
const read = async () => readingsOf(await db.air.toArray(), 'kitchen');

test('what a thermometer shows is kept beside what there was, and no undo takes it back', async () => {
  await sampleStored();
  await recordAir('kitchen', { ms: noon, celsius: 21.4 });
  await recordAir('kitchen', { ms: noon + 600_000, celsius: 21.9, humidity: 0.5 });
  assert.deepEqual(
    (await read()).map((r) => r.celsius),
    [21.4, 21.9],
  );
  await undo(SETTINGS);
  assert.equal((await read()).length, 2);
});

test('readings that were typed or brought in are one edit, taken back and done again whole', async () => {
  await sampleStored();
  await recordAir('kitchen', { ms: noon, celsius: 21.4 });
  const week = Array.from({ length: 168 }, (_, i) => ({ ms: noon + i * 3_600_000, celsius: 18 + (i % 5) }));
  await addReadings('kitchen', week, 'Bring in a week');
  assert.equal((await read()).length, 168);
  await undo(SETTINGS);
  assert.deepEqual(
    (await read()).map((r) => r.celsius),
    [21.4],
  );
  await redo(SETTINGS);
  await removeReadings('kitchen');
  assert.equal((await read()).length, 0);
  assert.ok((await db.air.count()) > 0, 'those of another room stay');
  await undo(SETTINGS);
  assert.equal((await read()).length, 168);
});

test('readings go out and in with the studio, move with what cured in them, and must be of a room that is there', async () => {
  const studio = await sampleStored();
  assert.deepEqual((await readStudio())!.air, studio.air);
  const moved = movedTo(studio, noon, noon + 5 * 3_600_000);
  const [before, after] = [studio, moved].map((s) => readingsOf(s.air!, 'loft'));
  assert.deepEqual(
    after!.map((r) => r.ms),
    before!.map((r) => r.ms + 5 * 3_600_000),
  );
  assert.ok(openStudio(writeStudio(moved)).ok);
  const wrong = openStudio(writeStudio({ ...sample(), air: [{ ...studio.air![0]!, roomId: 'cellar' }] }));
  assert.match(wrong.ok ? '' : wrong.problems[0]!.path, /air\/0\/roomId/);
  const [day] = studio.air!;
  const twice = openStudio(writeStudio({ ...sample(), air: [{ ...day!, readings: [day!.readings[0]!, day!.readings[0]!] }] }));
  assert.match(twice.ok ? '' : twice.problems[0]!.expected, /a minute after the one before/);
});

test('a database from before there were readings opens with none', async () => {
  await leftBy(6);
  await db.open();
  assert.equal(await db.air.count(), 0);
});
