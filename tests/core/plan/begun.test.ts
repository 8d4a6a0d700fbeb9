import assert from 'node:assert/strict';
import { test } from 'node:test';
import { advise } from '#core/advice';
import { isJoined } from '#core/coat';
import type { Piece } from '#core/document';
import { duplicated, withCoatAdded, withCoatMoved, withLying } from '#core/edit';
import { weightOf } from '#core/plan';
import { hoursBefore, sayWork, workBefore } from '#core/prepare';
import { standingOf, whatIsBelow } from '#core/record';
import { comingPours } from '#core/stock';
import { coat, empty, means, method, metric, piece, plan, planner, the, airs } from '../../factories';
import { amiss, followed, written } from '../../followed';
import { near } from '../help';

/** Sand, sea and wave on the board already, and the top to pour. */
const begun = (on?: string, p = piece()): Piece => withLying(p, the(p, 'wave').id, on === undefined ? {} : { on });
const around: Parameters<typeof standingOf>[2] = { airs, means, room: empty.rooms[0]! };
const NOW = Date.parse('2026-11-25T12:00:00Z');
const stand = (p: Piece, now = NOW) => standingOf(p, [], around, now);
const write = (ms: number): string => new Date(ms).toISOString();

test('a coat that lies has all below it lie, and what is above it begins a pour of its own', () => {
  const p = begun('2026-11-20');
  assert.deepEqual(
    p.coats.map((c) => c.lies?.on),
    ['2026-11-20', '2026-11-20', '2026-11-20', undefined],
  );
  const made = plan(p);
  assert.deepEqual(
    made.pours.map((pour) => [pour.lies, pour.batches.length > 0]),
    [
      [true, false],
      [false, true],
    ],
  );
  const joined = { ...p, coats: p.coats.map((c) => (c.kind === 'top' ? { ...c, samePour: true } : c)) };
  assert.equal(isJoined(joined.coats, the(joined, 'top')), false);
  // taken back for one coat, it is taken back for those above
  const back = withLying(p, the(p, 'sea').id, undefined);
  assert.deepEqual(
    back.coats.map((c) => Boolean(c.lies)),
    [true, false, false, false],
  );
});

test('the top of a half-poured piece takes what it would take, and the piece weighs and looks the same', () => {
  const [whole, half] = [plan(piece()), plan(begun())];
  near(half.pours[1]!.batches[0]!.ml, whole.pours[1]!.batches[0]!.ml, 1e-9);
  near(weightOf(half).total, weightOf(whole).total, 1e-9);
  assert.deepEqual(
    half.colours.patches.map((p) => p.colour),
    whole.colours.patches.map((p) => p.colour),
  );
});

test('before it is poured on it is scuffed, and neither sanded nor primed; what lies is no longer bought', () => {
  const does = workBefore(begun(), method).map((w) => sayWork(w, begun(), metric).does);
  assert.equal(does[0], 'Scuff what lies on it, wipe off the dust and let it dry.');
  assert.ok(!does.some((d) => /gesso|grain/.test(d)));
  assert.ok(hoursBefore(begun(), method) < hoursBefore(piece(), method));
  const [only, ...more] = comingPours([begun()], [], means, planner);
  assert.equal(more.length, 0);
  assert.equal(only!.pour, 1);
  const supplies = only!.taken.flatMap((t) => (t.of.kind === 'supply' ? [t.of.supply] : []));
  assert.deepEqual(supplies.sort(), ['gloves']);
});

test('where its day is known it cures from then on; where it is not, it is scuffed whatever it is', () => {
  const fresh = stand(begun('2026-11-25'), Date.parse('2026-11-25T14:00:00Z'));
  assert.equal(fresh.next?.pour, 1);
  assert.ok(fresh.curing!.recoatFrom > Date.parse('2026-11-25T14:00:00Z'), 'it is tacky still');
  const old = stand(begun('2026-10-01'));
  assert.ok(old.curing!.bondUntil < NOW);
  assert.ok(old.stretches.some((s) => s.doing === 'scuff'));
  const unknown = stand(begun());
  assert.deepEqual([unknown.begun, unknown.curing], [true, undefined]);
  assert.deepEqual(whatIsBelow(plan(begun()), unknown, 1, NOW, write), [
    'The day what lies below was poured is not known: scuff and wipe it first.',
  ]);
  assert.match(whatIsBelow(plan(begun('2026-10-01')), old, 1, NOW, write)[0]!, /no longer bonds by itself/);
  const all = withLying(piece(), the(piece(), 'top').id, {});
  assert.equal(stand(all).next, undefined);
  assert.equal(stand(all).begun, true);
});

test('a half-poured piece is right to the end, of one and of four, in every way of writing', () => {
  for (const way of Object.keys(written) as (keyof typeof written)[])
    for (const count of [1, 4]) {
      const f = followed({ ...begun('2026-11-20'), count }, way);
      assert.deepEqual(amiss(f), [], `${way} ${count}`);
      assert.deepEqual(
        f.findings.filter((x) => x.severity !== 'note').map((x) => x.says),
        [],
      );
      assert.equal(f.told[0]!.steps.length, 0);
      assert.ok(f.says.some((w) => /clear top/.test(w.says)));
      assert.ok(!f.says.some((w) => /beach|white/i.test(w.says)));
    }
});

test('nothing is poured under what lies: a new coat comes above it, and one moved below it is said', () => {
  const p = withCoatAdded(begun(), coat('seal'));
  assert.equal(
    p.coats.findIndex((c) => c.kind === 'seal'),
    3,
  );
  const moved = withCoatMoved(begun(), the(piece(), 'top').id, 0);
  const [finding] = advise({ plan: plan(moved), write: metric }).filter((f) => f.code === 'lies-over-open');
  assert.equal(finding?.severity, 'stop');
  assert.match(finding.says, /^Sand is said to be on the board already, and Clear top below it is not/);
  assert.ok(duplicated(begun(), [], []).coats.every((c) => !c.lies));
});
