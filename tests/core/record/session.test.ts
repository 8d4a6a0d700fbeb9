import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { Pour, PourEvent } from '#core/document';
import { plannedBesideDone, readSession, standing, standingOf, weighed } from '#core/record';
import { empty, means, method, near, piece, sample } from '../help';

const t0 = Date.parse('2026-11-25T10:00:00Z');
type Said = PourEvent extends infer E ? (E extends PourEvent ? Omit<E, 'seq' | 'at'> : never) : never;
const panel = piece();
const [sand, sea, wave, top] = panel.coats.map((c) => c.id) as [string, string, string, string];

/** A pour whose events fall at the given minutes. */
const pour = (...said: [number, Said][]): Pour => ({
  id: 'p',
  pieceId: panel.id,
  coatIds: [sand, sea, wave],
  roomC: 23,
  startedAt: new Date(t0).toISOString(),
  planned: { piece: panel, resins: empty.resins, colourants: empty.colourants, room: empty.rooms[0]!, method },
  events: said.map(([min, s], i) => ({ ...s, seq: i + 1, at: new Date(t0 + min * 60_000).toISOString() }) as PourEvent),
});
const mixed: [number, Said] = [5, { kind: 'mixed', batch: 0 }];
const laid = (min: number, cup: string): [number, Said] => [min, { kind: 'poured', cup }];
const white: [number, Said] = [29, { kind: 'white laid', coatId: wave }];

test('a pour begins at its first step and walks through them as they are done', () => {
  assert.equal(readSession(pour()).current!.kind, 'mix');
  const s = readSession(pour(mixed));
  assert.equal(s.current!.key, `${sand}/sand`);
  assert.equal(s.mixedAt.get(0), t0 + 5 * 60_000);
  assert.equal(readSession(pour(mixed, laid(18, `${sand}/sand`))).current!.key, `${sea}/0`);
});

test('a cup laid out of turn is not asked for again', () => {
  const s = readSession(pour(mixed, laid(18, `${sea}/0`)));
  assert.equal(s.current!.key, `${sand}/sand`);
  assert.equal(readSession(pour(mixed, laid(18, `${sea}/0`), laid(20, `${sand}/sand`))).current!.key, `${sea}/1`);
});

test('what is taken back is as if it had not been, and nothing is removed', () => {
  const p = pour(mixed, laid(18, `${sand}/sand`), [19, { kind: 'undone', undoes: 2 }]);
  assert.equal(readSession(p).current!.key, `${sand}/sand`);
  assert.equal(p.events.length, 3);
  assert.deepEqual(
    standing(p.events).map((e) => e.seq),
    [1],
  );
});

test('a heat pass counts for the wave once the white is laid; before, it takes bubbles', () => {
  const passes = (p: Pour): number => [...readSession(p).doneAt.keys()].filter((k) => k.includes('/heat/')).length;
  assert.equal(passes(pour(mixed, [20, { kind: 'heat pass' }])), 0);
  assert.equal(passes(pour(mixed, [20, { kind: 'heat pass' }], white, [31, { kind: 'heat pass' }])), 1);
  assert.equal(passes(pour(mixed, white, [31, { kind: 'heat pass' }], [33, { kind: 'heat pass' }], [35, { kind: 'heat pass' }])), 2);
});

test('a pour that is done asks for nothing more', () => {
  const s = readSession(pour(mixed, white, [40, { kind: 'done' }]));
  assert.equal(s.current, undefined);
  assert.equal(s.done, t0 + 40 * 60_000);
});

test('planned beside done, in minutes after A and B met', () => {
  const lines = plannedBesideDone(readSession(pour(mixed, laid(19, `${sand}/sand`), white)));
  const line = (key: string) => lines.find((l) => l.step.key === key)!;
  assert.deepEqual([line('mix/0').planned, line('mix/0').done], [0, 0]);
  assert.deepEqual([line(`${sand}/sand`).planned, line(`${sand}/sand`).done], [13, 14]);
  assert.deepEqual([line(wave).planned, line(wave).done], [24, 24]);
  assert.equal(line(`${sea}/0`).done, undefined);
  assert.ok(plannedBesideDone(readSession(pour())).every((l) => l.done === undefined));
});

test('weights typed at the scale are kept with their batch', () => {
  assert.deepEqual(
    weighed(readSession(pour([5, { kind: 'mixed', batch: 0, aG: 110, bG: 95 }]))).map((w) => [w.batch, w.aG, w.bG]),
    [[0, 110, 95]],
  );
  assert.deepEqual(weighed(readSession(pour(mixed))), []);
});

test('a pour of coats the piece does not have is refused', () => {
  assert.throws(() => readSession({ ...pour(), coatIds: ['none'] }), RangeError);
});

const stand = (pours: Pour[], now = t0 + 3_600_000, one = panel) => standingOf(one, pours, means, empty.rooms[0]!, now, 0);

test('where a piece stands: not begun, pouring, curing, all poured', () => {
  assert.deepEqual(stand([]).next, { coatIds: [sand, sea, wave], pour: 0 });
  assert.deepEqual(stand([]).stretches, []);
  assert.ok(stand([pour(mixed)]).open);
  const first = pour(mixed, [40, { kind: 'done' }]);
  const curing = stand([first]);
  assert.deepEqual([curing.open, curing.next], [undefined, { coatIds: [top], pour: 1 }]);
  assert.ok(curing.curing!.recoatFrom > t0 + 6 * 3_600_000);
  const second: Pour = {
    ...pour(mixed, [40, { kind: 'done' }]),
    id: 'q',
    coatIds: [top],
    startedAt: new Date(t0 + 86_400_000).toISOString(),
  };
  assert.equal(stand([second, first]).next, undefined);
});

test('a pour given a time stands on the tide line as planned', () => {
  const [ready, ...planned] = stand([], t0, { ...panel, pourAt: '2026-11-26T18:30:00.000Z' }).stretches;
  assert.equal(planned[0]!.from, Date.parse('2026-11-26T18:30:00Z'));
  // sanding, three coats of gesso with an hour each, and setting up come before it
  assert.deepEqual([ready!.doing, ready!.until], ['prepare', planned[0]!.from]);
  near((ready!.until - ready!.from) / 3_600_000, 3.75, 1e-9);
  near((planned[0]!.until - planned[0]!.from) / 60_000, 28, 1e-9);
  assert.ok(planned.every((s) => s.planned));
});

test('the sample studio has planned pieces, one curing, and two finished with different results', () => {
  const studio = sample();
  const now = Date.parse('2026-11-25T13:36:00Z');
  const m = { resins: studio.resins, colourants: studio.colourants, method: studio.method, roomC: 21.4 };
  const all = studio.pieces.map((p) => standingOf(p, studio.pours, m, studio.rooms[0]!, now, 0));
  assert.equal(all.filter((s) => s.curing && now < s.curing.recoatFrom).length, 1);
  assert.ok(all.filter((s) => s.pours.length === 0).length >= 3);
  assert.equal(all.filter((s) => s.pours.length && !s.next).length, 2);
  assert.equal(new Set(studio.pours.flatMap((p) => p.verdict ?? [])).size, 2);
});
