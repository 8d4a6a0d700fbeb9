import assert from 'node:assert/strict';
import { test } from 'node:test';
import { steady } from '#core/air';
import { cupAge, cupCourse, cupFill, cupMinuteOfAge, cupSurface, cureConstant, rate, type CupCourse } from '#core/cure';
import { near } from '../help';

const course = (grams: number, surface: number): CupCourse => cupCourse(grams, surface, steady(23), 240, 23, 55);

test('the constant of a gel age of 240', () => near(cureConstant(240), 0.006803));

test('30 g: a small cup stays cool', () => {
  const c = course(30, 0.0055);
  near(c.celsius[30]!, 29.84, 0.1);
  near(cupAge(c, 15), 19.78, 0.05);
  near(c.gelMin, 89.08, 0.05);
  near(c.peakC, 41.99, 0.1);
  assert.equal(c.runawayMin, Infinity);
});

test('100 g reaches 98.6 °C', () => {
  const c = course(100, 0.012);
  near(c.celsius[30]!, 31.22, 0.1);
  near(cupAge(c, 15), 20.54, 0.05);
  near(c.gelMin, 46.18, 0.05);
  near(c.peakC, 98.59, 0.1);
  assert.ok(c.runawayMin > 30 && c.runawayMin < c.gelMin);
});

test('400 g reaches 140.9 °C', () => {
  const c = course(400, 0.03);
  near(c.celsius[30]!, 32.45, 0.1);
  near(cupAge(c, 15), 21.22, 0.05);
  near(c.gelMin, 36.87, 0.05);
  near(c.peakC, 140.85, 0.1);
});

test('more in the cup is hotter and sooner past working', () => {
  const [small, large] = [course(50, cupSurface(47)), course(200, cupSurface(188))];
  assert.ok(large.peakC > small.peakC);
  assert.ok(cupMinuteOfAge(large, 45) < cupMinuteOfAge(small, 45));
});

test('a cup ages faster than a film, and its age and its minute are each other’s inverse', () => {
  const c = course(100, 0.012);
  for (const min of [3, 11.3, 24, 40]) {
    assert.ok(cupAge(c, min) > min * rate(23, 23, 55));
    near(cupMinuteOfAge(c, cupAge(c, min)), min, 1e-6);
  }
  assert.equal(cupMinuteOfAge(c, 0), 0);
  assert.equal(cupMinuteOfAge(c, -3), 0);
});

test('a thimble in a cold room never runs away, and the computation ends', () => {
  const c = cupCourse(2, cupSurface(2), steady(5), 240, 23, 55);
  assert.ok(c.peakC < 8 && c.runawayMin === Infinity);
  assert.ok(cupMinuteOfAge(c, 1e6) > 1440);
});

test('a cup 0.7 as deep as wide', () => {
  const d = ((4 * 100e-6) / (0.7 * Math.PI)) ** (1 / 3);
  near(cupSurface(100), (Math.PI * d * d) / 2 + Math.PI * d * 0.7 * d, 1e-9);
});

test('a cup of unknown make stands 0.7 of its diameter deep', () => {
  const { diameter, depth } = cupFill(100);
  near(depth / diameter, 0.7, 1e-12);
  near((Math.PI * diameter ** 2 * depth) / 4000, 100, 1e-9);
});
