import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import './stored';
import type { DiaryEntry } from '#core/document';
import { sample } from '../../factories';
import { db } from '../../../src/lib/store/db';
import {
  addEntry,
  letGo,
  recordAnnounced,
  removeEntries,
  setDay,
  setDone,
  setLeftOut,
  setPin,
  setPromise,
  setTogether,
  setWeekday,
  take,
  takeBusy,
} from '../../../src/lib/store/diary';
import { CALENDAR, redo, undo, undoable } from '../../../src/lib/store/edits';
import { putOff, readTold, seenTo, setQuiet, tellOnce } from '../../../src/lib/store/notices';
import { readStudio, replaceStudio } from '../../../src/lib/store/studio';

const COVE = 'kelp-cove-1';
const GLAZE = `${COVE}/pour-kelp-cove-1-glaze`;
const NOW = Date.parse('2026-11-25T13:36:00Z');
const of = async <K extends DiaryEntry['kind']>(kind: K): Promise<Extract<DiaryEntry, { kind: K }>[]> =>
  (await db.diary.toArray()).filter((e): e is Extract<DiaryEntry, { kind: K }> => e.kind === kind);

beforeEach(async () => {
  await db.open();
  await replaceStudio({ ...sample(), diary: [] });
});

test('a pin takes the place of the one before and of the day the piece had; one undo brings all of it back', async () => {
  const before = (await db.pieces.get(COVE))!.pourAt;
  assert.ok(before);
  await setPin(GLAZE, NOW, [COVE], 'Hold it');
  assert.equal((await db.pieces.get(COVE))!.pourAt, undefined);
  await setPin(GLAZE, NOW + 900_000, [COVE], 'Hold it later');
  assert.deepEqual(
    (await of('pin')).map((p) => p.at),
    [new Date(NOW + 900_000).toISOString()],
  );
  await undo(CALENDAR);
  assert.equal((await of('pin'))[0]!.at, new Date(NOW).toISOString());
  await undo(CALENDAR);
  assert.deepEqual(await of('pin'), []);
  assert.equal((await db.pieces.get(COVE))!.pourAt, before);
  await redo(CALENDAR);
  assert.equal((await of('pin')).length, 1);
  await letGo([COVE], 'Let go');
  assert.deepEqual(await of('pin'), []);
});

test('hours of a weekday, a day that is barred and as every week again', async () => {
  await setWeekday(2, [{ from: 600, until: 720 }]);
  await setWeekday(2, []);
  assert.deepEqual(
    (await of('hours')).map((h) => h.spans),
    [[]],
  );
  await setDay('2026-12-01', [], 'Bar it');
  await setDay('2026-12-01', [{ from: 0, until: 60 }], 'Open an hour');
  assert.equal((await of('day')).length, 1);
  await setDay('2026-12-01', undefined, 'As every week');
  assert.deepEqual(await of('day'), []);
});

test('pieces poured together: a third joins, one leaves, and of two that part none is left', async () => {
  await setTogether(['kelp-cove-1', 'kelp-cove-2'], 'Join');
  await setTogether(['kelp-cove-1', 'kelp-cove-2', 'kelp-cove-3'], 'Join a third');
  assert.deepEqual((await of('together'))[0]!.pieceIds.length, 3);
  await setTogether(['kelp-cove-2', 'kelp-cove-3'], 'Part one');
  assert.deepEqual(
    (await of('together')).map((t) => t.pieceIds),
    [['kelp-cove-2', 'kelp-cove-3']],
  );
  await setTogether(['kelp-cove-2'], 'Part');
  assert.deepEqual(await of('together'), []);
});

test('busy times of a file take the place of those it brought before, and leave typed ones', async () => {
  await addEntry('Add', { kind: 'busy', from: new Date(NOW).toISOString(), until: new Date(NOW + 3.6e6).toISOString(), what: 'typed' });
  await takeBusy('home', [{ from: NOW, until: NOW + 3.6e6, what: 'a' }]);
  await takeBusy('home', [
    { from: NOW, until: NOW + 3.6e6, what: 'b' },
    { from: NOW + 7.2e6, until: NOW + 9e6, what: 'c' },
  ]);
  assert.deepEqual((await of('busy')).map((b) => b.what).sort(), ['b', 'c', 'typed']);
  await removeEntries(
    'Take off',
    (await of('busy')).filter((b) => b.source === 'home'),
  );
  assert.deepEqual(
    (await of('busy')).map((b) => b.what),
    ['typed'],
  );
});

test('what was announced is kept beside all undo, once each, and follows what is told', async () => {
  await recordAnnounced([{ operation: GLAZE, at: NOW }]);
  const [first] = await of('announced');
  await recordAnnounced([{ operation: GLAZE, at: NOW }]);
  assert.deepEqual(await of('announced'), [first]);
  await recordAnnounced([{ operation: GLAZE, at: NOW + 900_000 }]);
  assert.equal((await of('announced')).length, 1);
  await recordAnnounced([]);
  assert.deepEqual(await of('announced'), []);
  assert.deepEqual(await undoable(CALENDAR), {});
});

test('every suggestion is stored as it says, and one undo takes it back whole', async () => {
  const before = (await readStudio())!;
  const piece = before.pieces.find((p) => p.id === COVE)!;
  const [glaze] = piece.coats.filter((c) => c.kind === 'glaze');
  const gives = [
    { kind: 'hours', on: '2026-11-26', spans: [{ from: 600, until: 700 }] },
    { kind: 'room', roomId: 'loft', heating: { celsius: 24, from: 0, until: 0 } },
    { kind: 'without coat', pieceId: COVE, coatId: glaze!.id },
    { kind: 'resin', pieceId: COVE, resinId: before.resins.at(-1)!.id, coatIds: [piece.coats[0]!.id] },
    { kind: 'let go', pieceId: COVE },
    { kind: 'later', pieceId: COVE, dueOn: '2026-12-20' },
  ] as const;
  for (const one of gives) {
    await take(one as Parameters<typeof take>[0], 'Take it');
    const after = (await readStudio())!;
    assert.notDeepEqual(after, before, one.kind);
    await undo(CALENDAR);
    assert.deepEqual(await readStudio(), before, one.kind);
  }
  await take({ kind: 'without coat', pieceId: COVE, coatId: glaze!.id }, 'One glaze fewer');
  assert.ok((await db.pieces.get(COVE))!.coats.every((c) => c.waits?.coatId !== glaze!.id));
});

test('done, left out and promised are edits of the calendar, and the studio is whole with them', async () => {
  await setDone([`${COVE}/before-sand`, `${COVE}/before-gesso-1`], NOW, 'Done');
  await setLeftOut('kelp-cove-2', true, 'Leave it out');
  await setPromise(COVE, { dueOn: '2026-12-31', priority: 5 }, 'Promise it');
  assert.equal((await of('did')).length, 2);
  const piece = (await db.pieces.get(COVE))!;
  assert.deepEqual([piece.dueOn, piece.priority], ['2026-12-31', 5]);
  await setPromise(COVE, { dueOn: undefined }, 'Promise nothing');
  assert.equal('dueOn' in (await db.pieces.get(COVE))!, false);
  await setLeftOut('kelp-cove-2', false, 'Plan it');
  assert.deepEqual(await of('left out'), []);
});

test('a notice is told once however many windows ask, comes back when it was put off, and quiet hours are kept', async () => {
  const told = await Promise.all([tellOnce('opens/a', NOW), tellOnce('opens/a', NOW)]);
  assert.deepEqual([...told].sort(), [false, true]);
  await putOff('opens/a', Date.now() + 1_800_000);
  assert.equal(await tellOnce('opens/a', Date.now()), true);
  await seenTo('opens/a', Date.now());
  await setQuiet({ from: 60, until: 120 });
  const state = await readTold();
  assert.ok(state.done['opens/a']);
  assert.deepEqual(state.quiet, { from: 60, until: 120 });
  await setQuiet(undefined);
  assert.equal((await readTold()).quiet, undefined);
});
