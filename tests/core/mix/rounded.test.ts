import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { ratioError, readingError, roundedToMarks, roundedToScale, split, unscraped } from '#core/mix';
import { method, resin } from '../../factories';
import { near } from '../help';

const twoToOne = { ...resin, ratio: { a: 2, b: 1, by: 'volume' as const } };

test('107.525 g on a scale of whole grams reads 108, and the ratio says what that does', () => {
  const { parts, error } = roundedToScale(split(187, resin), resin, 1);
  assert.deepEqual([parts.aG, parts.bG], [108, 92]);
  near(error, ratioError(108, 92, resin), 1e-12);
  assert.ok(Math.abs(error) <= readingError(split(187, resin), 1));
});

test('no rounding is worse than the reading error says, to first order', () => {
  fc.assert(
    fc.property(fc.double({ min: 20, max: 600, noNaN: true }), fc.constantFrom(0.1, 0.5, 1), (ml, step) => {
      const parts = split(ml, resin);
      assert.ok(Math.abs(roundedToScale(parts, resin, step).error) <= readingError(parts, step) * 1.06);
    }),
  );
});

test('2 : 1 in cups with lines each 5 ml: both parts on a line, no less than is needed', () => {
  const { parts, error } = roundedToMarks(97, twoToOne, 5);
  assert.deepEqual([parts.aMl, parts.bMl], [70, 35]);
  near(error, 0, 1e-12);
});

test('lines never give less than is needed of A, nor more than a quarter over', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 10, max: 500, noNaN: true }),
      fc.constantFrom(1, 2.5, 5, 10),
      fc.constantFrom(resin, twoToOne),
      (ml, step, r) => {
        const { parts } = roundedToMarks(ml, r, step);
        const exact = split(ml, r);
        assert.ok(parts.aMl >= exact.aMl - 1e-6);
        assert.ok(parts.aMl <= Math.max(1.25 * exact.aMl + step, step));
        for (const part of [parts.aMl, parts.bMl]) near(part / step, Math.round(part / step), 1e-9);
      },
    ),
  );
});

test('a part cup that is not scraped out: 93.5 ml of A leave 2.87 ml, 3.2 % too much hardener', () => {
  const { a, b } = unscraped(split(187, resin), method);
  near(a, 93.5 / (93.5 * 0.98 - 1) - 1, 1e-12);
  near(a, 0.032, 0.0005);
  assert.ok(b < 0);
  const small = unscraped(split(20, resin), method);
  assert.ok(small.a > 0.1, 'in a small batch it stops the pour');
});
