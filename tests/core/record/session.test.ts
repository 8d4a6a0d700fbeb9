import assert from 'node:assert/strict';
import { test } from 'node:test';
import { steady } from '#core/air';
import { stepKey, type Pour, type PourEvent, type StepRef } from '#core/document';
import {
  extraHeat,
  plannedBesideDone,
  readSession,
  effective,
  standingOf,
  Standings,
  isRecorded,
  unknownEvents,
  weighed,
  summaryOf,
} from '#core/record';
import { empty, means, piece, pourOf, sample, type Said, airs } from '../../factories';
import { near } from '../help';

const t0 = Date.parse('2026-11-25T10:00:00Z');
const panel = piece();
const [sand, sea, wave, top] = panel.coats.map((c) => c.id) as [string, string, string, string];

/** A pour whose events fall at the given minutes. */
const pour = (...said: [number, Said][]): Pour => pourOf(panel, new Date(t0).toISOString(), said);
const ref = (does: StepRef['does'], coat: string, more: Partial<StepRef> = {}): StepRef => ({ does, piece: panel.id, coat, ...more });
const did = (min: number, step: StepRef): [number, Said] => [min, { kind: 'did', step }];
const mixed: [number, Said] = [5, { kind: 'mixed', batch: 0 }];
const beach = ref('pour', sand, { role: 'sand' });
const tint = (n: number): StepRef => ref('pour', sea, { role: 'tint', tint: n });
const thin = did(8, { does: 'thin', batch: 0 });
const line = did(29, ref('line', wave));
const white = did(29, ref('white', wave));
const pass = (n: number): StepRef => ref('heat', wave, { pass: n });
const now = (p: Pour): string => stepKey(readSession(p).current!.id);

test('a pour begins at its first step and walks through them as they are done', () => {
  assert.equal(readSession(pour()).current!.id.does, 'mix');
  assert.equal(now(pour(mixed)), stepKey({ does: 'thin', batch: 0 }), 'what is thinned is thinned before the cups are coloured');
  assert.equal(now(pour(mixed, thin)), stepKey(beach));
  assert.equal(readSession(pour(mixed)).mixedAt.get(0), t0 + 5 * 60_000);
  assert.equal(now(pour(mixed, thin, did(18, beach))), stepKey(tint(0)));
});

test('a cup laid out of turn is not asked for again', () => {
  assert.equal(now(pour(mixed, thin, did(18, tint(0)))), stepKey(beach));
  assert.equal(now(pour(mixed, thin, did(18, tint(0)), did(20, beach))), stepKey(tint(1)));
});

test('what is taken back is as if it had not been, and nothing is removed', () => {
  const p = pour(mixed, thin, did(18, beach), [19, { kind: 'undone', undoes: 3 }]);
  assert.equal(now(p), stepKey(beach));
  assert.equal(p.events.length, 4);
  assert.deepEqual(
    effective(p.events).map((e) => e.seq),
    [1, 2],
  );
});

test('a heat pass out of turn counts for the wave once the white is laid; before, it takes bubbles', () => {
  const passes = (p: Pour): number => [...readSession(p).doneAt.keys()].filter((k) => [1, 2].some((n) => stepKey(pass(n)) === k)).length;
  const heat = (min: number): [number, Said] => [min, { kind: 'heat pass' }];
  assert.equal(passes(pour(mixed, heat(20))), 0);
  assert.equal(passes(pour(mixed, heat(20), white, heat(31))), 1);
  assert.equal(passes(pour(mixed, white, did(31, pass(1)), heat(33), heat(35))), 2);
  assert.equal(extraHeat(readSession(pour(mixed, white, did(31, pass(1)), heat(33), heat(35)))), 1);
});

test('a pour that is done asks for nothing more, nor does one that was given up', () => {
  const s = readSession(pour(mixed, white, [40, { kind: 'done' }]));
  assert.equal(s.current, undefined);
  assert.equal(s.done, t0 + 40 * 60_000);
  const given = readSession(pour(mixed, [6, { kind: 'abandoned', why: 'the wrong board' }]));
  assert.deepEqual([given.current, given.done, given.abandoned!.why], [undefined, undefined, 'the wrong board']);
});

test('a plan made anew holds from then on, and what was done before stays done', () => {
  const p = pour(mixed, thin, did(18, beach));
  const told = p.told!;
  const shorter = { ...told, steps: told.steps.filter((s) => s.id.tint !== 0) };
  const anew = readSession(pour(mixed, thin, did(18, beach), [19, { kind: 'replanned', told: shorter, why: 'the deep ran out' }]));
  assert.equal(stepKey(anew.current!.id), stepKey(tint(1)));
  assert.ok(anew.doneAt.has(stepKey(beach)));
  const taken = readSession(
    pour(mixed, thin, did(18, beach), [19, { kind: 'replanned', told: shorter }], [20, { kind: 'undone', undoes: 4 }]),
  );
  assert.equal(stepKey(taken.current!.id), stepKey(tint(0)), 'a plan that is taken back holds no more');
});

test('events of a later version are kept and passed over', () => {
  const p = pour(mixed, thin, did(18, beach));
  const later = { kind: 'weather', seq: 4, at: new Date(t0).toISOString(), cloud: 0.4 } as unknown as PourEvent;
  const read = readSession({ ...p, events: [...p.events, later] });
  assert.equal(stepKey(read.current!.id), stepKey(tint(0)));
  assert.deepEqual(
    unknownEvents({ events: [...p.events, later] }).map((e) => e.kind),
    ['weather'],
  );
});

test('planned beside done, in minutes after A and B met', () => {
  const lines = plannedBesideDone(readSession(pour(mixed, did(19, beach), line, white)));
  const of = (id: StepRef) => lines.find((l) => stepKey(l.step.id) === stepKey(id))!;
  assert.deepEqual([of({ does: 'mix', batch: 0 }).planned, of({ does: 'mix', batch: 0 }).done], [0, 0]);
  // stirred, two colourants thinned, seven cups coloured
  near(of(beach).planned, 4 + 1 + 7 + 1 + of(beach).step.uses[0]!.ml / 100, 0.002);
  assert.equal(of(beach).done, 14);
  assert.deepEqual([of(ref('white', wave)).planned, of(ref('white', wave)).done], [25, 24]);
  assert.equal(of(tint(0)).done, undefined);
  assert.ok(plannedBesideDone(readSession(pour())).every((l) => l.done === undefined));
});

test('weights read at the scale are kept with their batch', () => {
  const read = (what: 'A' | 'B', grams: number, batch = 0): [number, Said] => [4, { kind: 'weighed', batch, what, grams }];
  const of = (...said: [number, Said][]) => weighed(readSession(pour(...said))).map((w) => [w.batch, w.aG, w.bG]);
  assert.deepEqual(of([5, { kind: 'mixed', batch: 0, aG: 110, bG: 95 }]), [[0, 110, 95]]);
  assert.deepEqual(of(read('A', 100), read('A', 10), read('B', 95), mixed), [[0, 110, 95]]);
  assert.deepEqual(of(read('A', 100, 1), read('B', 95, 1), mixed), [], 'of a batch that was not told');
  assert.deepEqual(of(mixed), []);
});

const stand = (pours: Pour[], now = t0 + 3_600_000, one = panel) =>
  standingOf(one, pours.map(summaryOf), { airs, means, room: empty.rooms[0]! }, now);

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
    of: [{ pieceId: panel.id, coatIds: [top] }],
    startedAt: new Date(t0 + 86_400_000).toISOString(),
  };
  assert.equal(stand([second, first]).next, undefined);
  const given = pour(mixed, [6, { kind: 'abandoned', why: 'rain' }]);
  assert.deepEqual(stand([given]), stand([]), 'given up, the piece stands as before');
});

test('standings that are kept are those read anew, minute by minute; a tick reads none again but of a piece being poured', () => {
  const [still, poured] = [panel, { ...piece(), id: 'other' }];
  const around = { airs, means, room: empty.rooms[0]! };
  const finished = summaryOf(pour(mixed, [40, { kind: 'done' }]));
  const under = summaryOf({ ...pour(mixed), id: 'under', of: [{ pieceId: poured.id, coatIds: [sand, sea, wave] }] });
  const kept = new Standings();
  const ticks = [0, 1, 2].map((min) => kept.of([still, poured], [finished, under], around, t0 + 3_600_000 + min * 60_000));
  ticks.forEach((standings, min) => {
    const now = t0 + 3_600_000 + min * 60_000;
    assert.deepEqual(
      standings,
      [still, poured].map((one) =>
        standingOf(
          one,
          [finished, under].filter((p) => p.of[0]!.pieceId === one.id),
          around,
          now,
        ),
      ),
    );
    assert.equal(standings[0], ticks[0]![0], 'the same object: nothing of it can have changed');
  });
  assert.notEqual(ticks[1]![1], ticks[0]![1]);
  // a pour of the same id and as many events that says something else is another
  const later = summaryOf(pour(mixed, [55, { kind: 'done' }]));
  const [again] = kept.of([still], [later], around, t0 + 3_600_000);
  assert.equal(again!.pours[0]!.done! - finished.done!, 15 * 60_000);
});

test('the sample studio has planned pieces, one curing, and two finished with different results', () => {
  const studio = sample();
  const now = Date.parse('2026-11-25T13:36:00Z');
  const m = { resins: studio.resins, colourants: studio.colourants, method: studio.method, air: steady(21.4) };
  const all = studio.pieces.map((p) => standingOf(p, studio.pours.map(summaryOf), { airs, means: m, room: studio.rooms[0]! }, now));
  assert.equal(all.filter((s) => s.curing && now < s.curing.recoatFrom).length, 1);
  assert.ok(all.filter((s) => s.pours.length === 0).length >= 3);
  assert.equal(all.filter((s) => s.pours.length && !s.next).length, 2);
  assert.equal(new Set(studio.pours.flatMap((p) => p.verdict ?? [])).size, 2);
});

test('one step tapped in two windows happened once; a weight, a note and a pass more may come twice', () => {
  const at = '2026-11-25T13:36:00Z';
  const step = { does: 'pour' as const, piece: 'a', coat: 'b', role: 'tint' as const, tint: 1 };
  const did: PourEvent = { seq: 1, at, kind: 'did', step };
  const mixed: PourEvent = { seq: 2, at, kind: 'mixed', batch: 0 };
  assert.equal(isRecorded({ ...did, seq: 3 }, [did, mixed]), true);
  assert.equal(isRecorded({ ...mixed, seq: 3 }, [did, mixed]), true);
  assert.equal(isRecorded({ seq: 3, at, kind: 'mixed', batch: 1 }, [did, mixed]), false);
  const undone: PourEvent = { seq: 3, at, kind: 'undone', undoes: 1 };
  assert.equal(isRecorded({ ...did, seq: 4 }, [did, mixed, undone]), false);
  assert.equal(isRecorded({ ...undone, seq: 4 }, [did, mixed, undone]), true);
  assert.equal(isRecorded({ seq: 4, at, kind: 'abandoned', why: '' }, [did, { seq: 3, at, kind: 'done' }]), true);
  for (const again of [{ kind: 'note', text: 'x' }, { kind: 'heat pass' }] as const)
    assert.equal(isRecorded({ ...again, seq: 2, at }, [{ ...again, seq: 1, at }]), false);
});
