import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { withCoat, withFilm, withShape, type Piece, type WaveCoat } from '#core/document';
import { cupContent } from '#core/mix';
import { handsOn, planPiece, planTogether, strainsOf, workable, type Batch, type PourPlan } from '#core/plan';
import { means, method, near, piece, plan, resin, sum } from '../help';

const atOnce = { ...method, batches: 'one a resin' as const };
const sized = (width: number, height: number): Piece => withShape(piece(), { kind: 'rectangle', width, height });
/** What leaves the cups onto the boards, ml. */
const needed = (batches: Batch[]): number => sum(batches.flatMap((b) => b.cups.map((c) => c.needed)));

function addsUp({ batches, coats }: PourPlan): void {
  for (const batch of batches) {
    const filled = sum(batch.cups.map((c) => c.ml));
    near(batch.ml, batch.cups.length > 1 ? cupContent(filled, method) : filled, 1e-9);
    near(batch.parts.aMl + batch.parts.bMl, batch.ml, 1e-9);
    near(batch.grams, batch.parts.aG + batch.parts.bG, 1e-9);
  }
  near(needed(batches), sum(coats.map((c) => c.ml)), 1e-6);
  const keys = batches.flatMap((b) => b.cups.map((c) => c.key));
  assert.equal(new Set(keys).size, keys.length, 'every cup is filled once');
}

test('cups add up to their batch and batches to their coats and losses, whatever the board', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 60, max: 1600 }),
      fc.integer({ min: 60, max: 900 }),
      fc.double({ min: 12, max: 30, noNaN: true }),
      (w, h, roomC) => {
        plan(sized(w, h), { roomC }).pours.forEach(addsUp);
      },
    ),
    { numRuns: 40 },
  );
});

test('any split gives the same totals: what goes onto the board does not depend on how it is mixed', () => {
  fc.assert(
    fc.property(fc.integer({ min: 300, max: 1600 }), fc.integer({ min: 300, max: 1000 }), (w, h) => {
      const [split, whole] = [plan(sized(w, h), { roomC: 27 }), plan(sized(w, h), { roomC: 27, method: atOnce })];
      split.pours.forEach((pour, i) => near(needed(pour.batches), needed(whole.pours[i]!.batches), 1e-6));
    }),
    { numRuns: 30 },
  );
});

test('a large lid is split, for a reason that is kept, and no batch is strained any more', () => {
  const lid = sized(1200, 800);
  const whole = plan(lid, { method: atOnce, roomC: 27 });
  assert.equal(whole.pours[0]!.batches.length, 1);
  const [worst] = strainsOf(whole.pours[0]!.batches[0]!, 0, whole.pours[0]!.steps, whole.means, 5);
  assert.ok(worst, 'one mixing would be emptied within five minutes of running away');
  const split = plan(lid, { roomC: 27 });
  const { batches, steps } = split.pours[0]!;
  assert.ok(batches.length > 1);
  assert.equal(batches[0]!.because?.kind, worst.kind);
  batches.forEach((batch, i) => assert.deepEqual(strainsOf(batch, i, steps, split.means), []));
  batches.forEach((batch, i) => assert.ok(handsOn(steps, i) <= workable(batch, split.means)));
  assert.deepEqual(
    steps.filter((s) => s.kind === 'mix').map((s) => s.batch),
    batches.map((_, i) => i),
    'each is mixed when its first cup is to be laid',
  );
});

test('an ordinary panel stays one batch', () => {
  for (const pour of plan().pours) {
    assert.equal(pour.batches.length, 1);
    assert.equal(pour.batches[0]!.because, undefined);
  }
});

test('one cup too large for a batch is divided over several of the same size', () => {
  const table = withFilm(sized(1800, 900), piece().coats[3]!.id, 1.4);
  const top = plan(table, { resins: [{ ...resin, workingMin: 38, gelMin: 150 }] }).pours.at(-1)!;
  const cups = top.batches.flatMap((b) => b.cups);
  assert.ok(cups.length > 1);
  assert.deepEqual(
    cups.map((c) => c.name),
    cups.map((_, i) => `Clear ${i + 1} of ${cups.length}`),
  );
  for (const c of cups) near(c.needed, cups[0]!.needed, 1e-9);
  addsUp(top);
});

test('the cups of a wave come out of one mixing, and a coat mixed on its own begins one', () => {
  const [, , waveId] = piece().coats.map((c) => c.id);
  const own = plan(withCoat(piece(), waveId!, (c) => ({ ...(c as WaveCoat), ownBatch: true })));
  const { batches, steps } = own.pours[0]!;
  assert.equal(batches.length, 2);
  assert.ok(batches[1]!.cups.every((c) => c.coatId === waveId));
  const white = steps.find((s) => s.kind === 'white')!;
  assert.equal(white.batch, 1);
  near(white.at - white.mixedAt, 24, 1e-9);
  for (const pour of plan(sized(1200, 800), { roomC: 27 }).pours)
    for (const { cups } of pour.coats.filter((c) => c.coat.kind === 'wave'))
      assert.equal(new Set(cups.map((c) => pour.batches.findIndex((b) => b.cups.some((k) => k.key === c.key)))).size, 1);
});

test('two pieces out of one mixing: like cups are one, and each piece gets its own need out of it', () => {
  const [one, two] = [
    piece({ id: 'one', name: 'One' }),
    piece({ id: 'two', name: 'Two' }, { shape: { kind: 'rectangle', width: 300, height: 200 } }),
  ];
  const chosen = [one, two].map((p) => ({ plan: planPiece(p, means), pour: 0 }));
  const together = planTogether(chosen, means);
  assert.equal(together.batches.length, 1);
  const deep = together.batches[0]!.cups.find((c) => c.name === 'Deep')!;
  const shares = together.shares.get(deep.key)!;
  assert.deepEqual(
    shares.map((s) => s.piece.name),
    ['One', 'Two'],
  );
  near(sum(shares.map((s) => s.ml)), deep.needed, 1e-9);
  near(needed(together.batches), sum(chosen.map((c) => needed(c.plan.pours[0]!.batches))), 1e-6);
  // one cup wets one wall: less stays behind than in two
  assert.ok(together.batches[0]!.ml < sum(chosen.map((c) => c.plan.pours[0]!.batches[0]!.ml)));
  const order = together.steps.flatMap((s) => (s.kind === 'white' ? ['wave'] : s.kind === 'pour' ? ['film'] : []));
  assert.equal(order.lastIndexOf('film') < order.indexOf('wave'), true, 'the waves come when all films are down');
});

test('pieces that would strain one mixing are taken in companies, and the reason is said', () => {
  const three = ['one', 'two', 'three'].map((id) => piece({ id, name: id }));
  const together = planTogether(
    three.map((p) => ({ plan: planPiece(p, means), pour: 0 })),
    means,
  );
  assert.ok(together.batches.length > 1);
  assert.ok(together.batches.every((b) => b.because));
  together.batches.forEach((batch, i) => assert.deepEqual(strainsOf(batch, i, together.steps, means), []));
  const served = new Set([...together.shares.values()].flat().map((s) => s.piece.name));
  assert.equal(served.size, 3);
  const one = planTogether([{ plan: planPiece(three[0]!, means), pour: 0 }], means);
  assert.deepEqual(one.batches, planPiece(three[0]!, means).pours[0]!.batches, 'a piece alone is its own plan');
});

test('another resin in the same pour has a batch of its own', () => {
  const quick = { ...resin, id: 'quick', name: 'Quick', workingMin: 28, gelMin: 110 };
  const [, , waveId] = piece().coats.map((c) => c.id);
  const mixed = plan(
    withCoat(piece(), waveId!, (c) => ({ ...c, resinId: 'quick' })),
    { resins: [resin, quick] },
  );
  assert.deepEqual(
    mixed.pours[0]!.batches.map((b) => b.resin.id),
    [resin.id, 'quick'],
  );
  addsUp(mixed.pours[0]!);
});

test('what is held back of a tint is over what the board takes, and none of clear or sand', () => {
  const cups = plan().pours[0]!.batches[0]!.cups;
  const deep = cups.find((c) => c.name === 'Deep')!;
  near(deep.makeup.heldBack, 0.03 * deep.needed, 1e-9);
  near(sum(Object.values(deep.makeup)), deep.ml, 1e-9);
  for (const name of ['Sand', 'Clear held back']) assert.equal(cups.find((c) => c.name === name)!.makeup.heldBack, 0);
});
