import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { steady } from '#core/air';
import { startingBoard, startingPiece, withCoat, withFilm, withShape } from '#core/edit';
import type { Piece, WaveCoat } from '#core/document';
import { cupContent } from '#core/mix';
import { handsOn, sharesOf, strainsOf, workable, type Batch, type PourPlan } from '#core/plan';
import { say, tell } from '#core/pour';
import { empty, means, method, metric, piece, plan, resin, sample, planner } from '../../factories';
import { near, sum } from '../help';

/** A resin whose times are those of a film, so that a mass of it in a cup heats itself soon. */
const hot = { ...resin, statedG: 0 };
const warm = { air: steady(27), resins: [hot] };
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
        plan(sized(w, h), { air: steady(roomC) }).pours.forEach(addsUp);
      },
    ),
    { numRuns: 40 },
  );
});

test('any split gives the same totals: what goes onto the board does not depend on how it is mixed', () => {
  fc.assert(
    fc.property(fc.integer({ min: 300, max: 1600 }), fc.integer({ min: 300, max: 1000 }), (w, h) => {
      const [split, whole] = [plan(sized(w, h), warm), plan(sized(w, h), { ...warm, method: atOnce })];
      split.pours.forEach((pour, i) => near(needed(pour.batches), needed(whole.pours[i]!.batches), 1e-6));
    }),
    { numRuns: 30 },
  );
});

test('a large lid is split, for a reason that is kept, and no batch is strained any more', () => {
  const lid = sized(1600, 900);
  const whole = plan(lid, { ...warm, method: atOnce });
  assert.equal(whole.pours[0]!.batches.length, 1);
  const [worst] = strainsOf(whole.pours[0]!.batches[0]!, 0, whole.pours[0]!.steps, whole.means, 5);
  assert.notEqual(worst, undefined, 'one mixing would do harm');
  const split = plan(lid, warm);
  const { batches, steps } = split.pours[0]!;
  assert.equal(batches.length > 1 && batches.length <= 4, true);
  assert.equal(batches[0]!.because?.kind, worst!.kind);
  batches.forEach((batch, i) => assert.equal(strainsOf(batch, i, steps, split.means)[0]?.kind, undefined));
  batches.forEach((batch, i) => assert.equal(handsOn(steps, i) <= workable(batch, split.means), true));
  assert.deepEqual(
    steps.filter((s) => s.id.does === 'mix').map((s) => s.batch),
    batches.map((_, i) => i),
    'each is mixed when its first cup is to be laid',
  );
});

test('a mix that only heats itself stays one, from cool bottles or in a wide tub', () => {
  const lid = withFilm(sized(1100, 800), piece().coats[3]!.id, 1.4);
  const top = (roomC: number) => plan(lid, { resins: [hot], air: steady(roomC) }).pours[1]!.batches;
  assert.deepEqual(
    [top(24), top(27)].map((batches) => batches.map((b) => [b.care, b.because?.kind])),
    [[[{ cooler: 5 }, undefined]], [[{ wide: true, cooler: 5 }, undefined]]],
  );
  assert.equal(top(20)[0]!.care, undefined);
  // and who stands at the bench is told so
  const own = { ...means, resins: [hot], air: steady(27) };
  const told = tell(planner.together([{ plan: planner.plan(lid, own), pour: 1 }], own), 27);
  const says = told.steps.filter((s) => s.id.does === 'mix').map((s) => say(s, told, metric).detail);
  assert.match(
    says[0]!,
    /^The bottles are at 22 °C, from a cool floor: wipe them dry first\. Mix in a wide tub, no deeper than two fingers\./,
  );
});

test('no mixing is under 60 g while there is another to join, but for a white that would be late, and a session has no more than four', () => {
  const quick = { ...hot, id: 'quick', name: 'Quick', stirMin: 3, workingMin: 28, gelMin: 110, statedG: 0 };
  fc.assert(
    fc.property(
      fc.integer({ min: 100, max: 1600 }),
      fc.integer({ min: 100, max: 900 }),
      fc.double({ min: 16, max: 30, noNaN: true }),
      fc.boolean(),
      (w, h, roomC, isQuick) => {
        const p = sized(w, h);
        const of = isQuick ? quick : hot;
        for (const { batches } of plan(
          { ...p, coats: p.coats.map((c) => ({ ...c, resinId: of.id })) },
          { resins: [of], air: steady(roomC) },
        ).pours) {
          assert.equal(batches.length <= 4, true, `${batches.length} mixings`);
          for (const b of batches.length > 1 ? batches : [])
            assert.ok(b.grams >= (b.cups.some((c) => c.id.role === 'white') ? 30 : 60), `${b.grams} g is too small`);
        }
      },
    ),
    { numRuns: 60 },
  );
});

test('the quick resin of the sample on a new panel: at most two mixings at 21 °C, three at 24', () => {
  const studio = sample();
  const quick = studio.resins.find((r) => r.id === 'quick-recoat')!;
  const p = startingPiece('new', { ...startingBoard(quick.id), name: 'New' }, { ...empty, resins: [quick] });
  const count = (roomC: number): number =>
    Math.max(...planner.plan(p, { ...means, resins: [quick], air: steady(roomC) }).pours.map((x) => x.batches.length));
  assert.deepEqual([count(21) <= 2, count(24) <= 3], [true, true]);
});

test('an ordinary panel stays one batch', () => {
  for (const pour of plan().pours) {
    assert.equal(pour.batches.length, 1);
    assert.equal(pour.batches[0]!.because, undefined);
  }
});

test('one cup too large for a batch is divided over several of the same size', () => {
  const table = withFilm(sized(1800, 900), piece().coats[3]!.id, 1.4);
  const top = plan(table, { resins: [hot], air: steady(24) }).pours.at(-1)!;
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
  assert.ok(batches[1]!.cups.every((c) => c.id.coat === waveId));
  const white = steps.find((s) => s.id.does === 'white')!;
  assert.equal(white.batch, 1);
  near(white.at - white.mixedAt, Math.ceil(batches[1]!.windows.whiteBest!.from), 1e-9);
  for (const pour of plan(sized(1600, 900), warm).pours)
    for (const { cups } of pour.coats.filter((c) => c.coat.kind === 'wave'))
      assert.equal(new Set(cups.map((c) => pour.batches.findIndex((b) => b.cups.some((k) => k.key === c.key)))).size, 1);
});

test('two pieces out of one mixing: like cups are one, and each piece gets its own need out of it', () => {
  const [one, two] = [
    piece({ id: 'one', name: 'One' }),
    piece({ id: 'two', name: 'Two' }, { shape: { kind: 'rectangle', width: 300, height: 200 } }),
  ];
  const chosen = [one, two].map((p) => ({ plan: planner.plan(p, means), pour: 0 }));
  const together = planner.together(chosen, means);
  assert.equal(together.batches.length, 1);
  const deep = together.batches[0]!.cups.find((c) => c.name === 'Deep')!;
  const shares = sharesOf(deep);
  assert.deepEqual(
    shares.map((s) => s.piece.name),
    ['One', 'Two'],
  );
  near(sum(shares.map((s) => s.ml)), deep.needed, 1e-9);
  near(needed(together.batches), sum(chosen.map((c) => needed(c.plan.pours[0]!.batches))), 1e-6);
  // one cup wets one wall: less stays behind than in two
  assert.ok(together.batches[0]!.ml < sum(chosen.map((c) => c.plan.pours[0]!.batches[0]!.ml)));
  const order = together.steps.flatMap((s) => (s.id.does === 'white' ? ['wave'] : s.id.does === 'pour' ? ['film'] : []));
  assert.equal(order.lastIndexOf('film') < order.indexOf('wave'), true, 'the waves come when all films are down');
});

test('pieces that would strain one mixing are mixed in several batches, and the reason is said', () => {
  const three = ['one', 'two', 'three'].map((id) => piece({ id, name: id }));
  const quick = { ...means, air: steady(25), resins: [{ ...hot, workingMin: 36 }] };
  const together = planner.together(
    three.map((p) => ({ plan: planner.plan(p, quick), pour: 0 })),
    quick,
  );
  assert.ok(together.batches.length > 1);
  assert.ok(together.batches.every((b) => b.because));
  together.batches.forEach((batch, i) => assert.equal(strainsOf(batch, i, together.steps, quick)[0]?.kind, undefined));
  const served = new Set(together.batches.flatMap((b) => b.cups.flatMap((c) => sharesOf(c).map((s) => s.piece.name))));
  assert.equal(served.size, 3);
  const one = planner.together([{ plan: planner.plan(three[0]!, means), pour: 0 }], means);
  assert.equal(one.batches, planner.plan(three[0]!, means).pours[0]!.batches, 'a piece alone is its own plan');
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
  for (const name of ['Sand', 'Clear under the white']) assert.equal(cups.find((c) => c.name === name)!.makeup.heldBack, 0);
});
