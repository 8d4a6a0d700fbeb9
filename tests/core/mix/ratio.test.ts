import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import type { Resin } from '#core/document';
import { mixedDensity, ratioError, readingError, rescue, smallestWeighable, split, splitByWeight, volumeWeighedError } from '#core/mix';
import { resin } from '../../factories';
import { near } from '../help';

const byWeight: Resin = { ...resin, ratio: { a: 100, b: 83, by: 'weight' }, densityA: 1.13, densityB: 1.02 };
const twoToOne: Resin = { ...resin, ratio: { a: 2, b: 1, by: 'volume' }, densityA: 1.14, densityB: 0.97 };

test('187 ml of a 1 : 1 resin of 1.15 and 0.98', () => {
  const parts = split(187, resin);
  near(parts.aMl, 93.5);
  near(parts.aG, 107.525);
  near(parts.bMl, 93.5);
  near(parts.bG, 91.63);
});

test('300 g at 100 : 83 by weight', () => {
  const parts = splitByWeight(300, byWeight);
  near(parts.aG, 163.93);
  near(parts.bG, 136.07);
});

test('the mixed density is by volume: 1.065', () => near(mixedDensity(resin), 1.065));

test('equal grams of a 1 : 1 resin by volume put in 17.3 % too much hardener; by weight there is no such slip', () => {
  near(100 * volumeWeighedError(resin), 17.3);
  near(100 * volumeWeighedError(twoToOne), 17.5);
  assert.equal(volumeWeighedError(byWeight), 0);
});

test('40 g on a scale that reads whole grams can be 5.03 % off', () => {
  near(100 * readingError(splitByWeight(40, resin), 1), 5.03);
  near(smallestWeighable(resin, 1), 40.3, 0.1);
});

test('an over-pour of A is met with B, and of B with A', () => {
  const planned = split(187, resin);
  const more = rescue(planned, planned.aG * 1.1, planned.bG);
  near(more.addA, 0, 1e-9);
  near(more.addB, 0.1 * planned.bG, 1e-9);
  near(more.total, 1.1 * (planned.aG + planned.bG), 1e-9);
  near(rescue(planned, planned.aG, planned.bG * 1.2).addA, 0.2 * planned.aG, 1e-9);
});

const resins = fc.record({
  ratio: fc.record({
    a: fc.double({ min: 0.5, max: 10, noNaN: true }),
    b: fc.double({ min: 0.5, max: 10, noNaN: true }),
    by: fc.constantFrom('volume' as const, 'weight' as const),
  }),
  densityA: fc.double({ min: 0.8, max: 1.6, noNaN: true }),
  densityB: fc.double({ min: 0.8, max: 1.6, noNaN: true }),
});
const amounts = fc.double({ min: 1, max: 5000, noNaN: true });

test('parts add up to the mix in ml and in g, in the ratio as stated', () => {
  fc.assert(
    fc.property(resins, amounts, (r, ml) => {
      const p = split(ml, r);
      near((p.aMl + p.bMl) / ml, 1, 1e-9);
      near((p.aG + p.bG) / (ml * mixedDensity(r)), 1, 1e-9);
      near((r.ratio.by === 'volume' ? p.aMl / p.bMl : p.aG / p.bG) / (r.ratio.a / r.ratio.b), 1, 1e-9);
      near(ratioError(p.aG, p.bG, r), 0, 1e-9);
    }),
  );
});

test('a rescue restores the ratio exactly and never takes anything out', () => {
  const factor = fc.double({ min: 0.5, max: 3, noNaN: true });
  fc.assert(
    fc.property(resins, amounts, factor, factor, (r, ml, fa, fb) => {
      const p = split(ml, r);
      const [a, b] = [p.aG * fa, p.bG * fb];
      const { addA, addB, total } = rescue(p, a, b);
      assert.ok(addA >= -1e-9 && addB >= -1e-9);
      near(ratioError(a + addA, b + addB, r), 0, 1e-9);
      near((a + addA + b + addB) / total, 1, 1e-9);
    }),
  );
});
