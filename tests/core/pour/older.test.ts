import assert from 'node:assert/strict';
import { test } from 'node:test';
import { openStudio, stepKey, writeStudio, type Pour, type Studio } from '#core/document';
import { toldStudio, withTold } from '#core/pour';
import { readSession, unknownEvents } from '#core/record';
import { usagesOf } from '#core/stock';
import { empty, method, piece, sample } from '../../factories';

const panel = piece({ id: 'old-panel' });
const [sand, sea, wave] = panel.coats.map((c) => c.id) as [string, string, string];
const at = (min: number): string => new Date(Date.parse('2026-11-01T10:00:00Z') + min * 60_000).toISOString();
const { smallestMix: _a, mostMixings: _b, smallestCup: _c, smallestWhite: _d, whiteFactor: _e, layMlPerMin: _f, ...oldMethod } = method;

/** A studio as the version before wrote it, with a pour in the middle of its batch. */
const older = (events: object[]): string => {
  const { pourAt: _, ...plain } = panel;
  return JSON.stringify({
    ...empty,
    version: 1,
    method: { ...oldMethod, layMinPerCup: 2 },
    pieces: [panel],
    pours: [
      {
        id: 'pour-old',
        pieceId: panel.id,
        coatIds: [sand, sea, wave],
        planned: {
          piece: plain,
          resins: empty.resins,
          colourants: empty.colourants,
          room: empty.rooms[0],
          method: { ...oldMethod, layMinPerCup: 2 },
        },
        startedAt: at(0),
        roomC: 22,
        events: events.map((e, i) => ({ ...e, seq: i + 1, at: at(i) })),
      },
    ],
  });
};
const opened = (text: string): Studio => {
  const o = openStudio(text);
  if (!o.ok) throw new Error(o.problems.map((p) => `${p.path}: ${p.found}, ${p.expected}`).join('; '));
  return o.studio;
};
const half = [
  { kind: 'mixed', batch: 0 },
  { kind: 'poured', cup: `${sand}/sand` },
  { kind: 'poured', cup: `${sea}/0` },
];

test('a pour of the version before is told once, and goes on in the middle of its batch', () => {
  const studio = toldStudio(opened(older(half)));
  const [pour] = studio.pours as [Pour];
  assert.deepEqual(pour.of, [{ pieceId: panel.id, coatIds: [sand, sea, wave] }]);
  const session = readSession(pour);
  assert.deepEqual([session.doneAt.size, session.current!.id.role, session.current!.id.tint], [4, 'tint', 1]);
  assert.equal(withTold(pour), pour, 'what is told is not told again');
  const again = opened(writeStudio(studio));
  assert.deepEqual(again.pours[0]!.told, pour.told);
  assert.deepEqual(again.pours[0]!.events, pour.events, 'its events are as they were');
});

test('its white and its heat are read as one step each, and its weights come off the shelf', () => {
  const events = [
    { kind: 'mixed', batch: 0, aG: 150, bG: 128 },
    { kind: 'tinted', cup: `${sea}/0`, colourantId: 'phthalo-blue', grams: 0.2 },
    { kind: 'white laid', coatId: wave },
    { kind: 'heat pass' },
    { kind: 'done' },
  ];
  const [pour] = toldStudio(opened(older(events))).pours as [Pour];
  const session = readSession(pour);
  const done = session.told.steps.filter((s) => session.doneAt.has(stepKey(s.id))).map((s) => s.id.does);
  assert.deepEqual(done, ['mix', 'line', 'white', 'heat', 'cover']);
  const taken = usagesOf([pour])[0]!.taken;
  assert.deepEqual(
    taken.slice(0, 2).map((t) => t.amount),
    [150, 128],
  );
});

test('an event of a kind this version does not know opens, is shown, and is written as it was', () => {
  const text = older([...half, { kind: 'tilted', degrees: 4, towards: ['far', 'left'] }]);
  const studio = toldStudio(opened(text));
  const [pour] = studio.pours as [Pour];
  assert.deepEqual(
    unknownEvents(pour).map((e) => e.kind),
    ['tilted'],
  );
  assert.equal(readSession(pour).current!.id.tint, 1);
  const written = JSON.parse(writeStudio(studio)) as { pours: { events: object[] }[] };
  assert.deepEqual(written.pours[0]!.events.at(-1), { seq: 4, at: at(3), kind: 'tilted', degrees: 4, towards: ['far', 'left'] });
  assert.equal(writeStudio(opened(writeStudio(studio))), writeStudio(studio));
});

test('a known event with a field out of place is still refused, by path', () => {
  const o = openStudio(older([{ kind: 'mixed', batch: 'first' }]));
  assert.equal(o.ok, false);
  assert.match(o.ok ? '' : o.problems[0]!.path, /^\/pours\/0\/events\/0/);
});

test('a pour that names what is gone is read without a plan, and its events are kept', () => {
  const [pour] = opened(older(half)).pours as [Pour];
  const lost = withTold({ ...pour, planned: { ...pour.planned, resins: [] } });
  assert.equal(lost.told, undefined);
  const session = readSession(lost);
  assert.deepEqual([session.told.steps.length, session.current, session.mixedAt.size], [0, undefined, 1]);
});

test('a studio of the version before gets the new habits, and its pours keep the ones they had', () => {
  const studio = opened(older(half));
  assert.deepEqual([studio.version, studio.method.smallestMix, studio.method.layMinPerCup], [2, 60, 1]);
  assert.deepEqual([studio.pours[0]!.planned.method.smallestMix, studio.pours[0]!.planned.method.layMinPerCup], [undefined, 2]);
  assert.equal(studio.pours[0]!.planned.resins[0]!.statedG, 0, 'its times were read as those of a film');
});

test('the sample’s pours are told, and every event of them finds its step', () => {
  for (const pour of sample().pours) {
    const session = readSession(pour);
    const steps = pour.events.filter((e) => ['mixed', 'poured', 'white laid', 'done'].includes(e.kind)).length;
    assert.ok(session.doneAt.size >= steps, pour.id);
  }
});
