import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { steady } from '#core/air';
import {
  age,
  beadRun,
  beadViscosity,
  coolingMin,
  cooledAge,
  cupAge,
  cupCelsius,
  cupCourse,
  cupSurface,
  filmCourse,
  flowing,
  heatAge,
  rate,
  shortestRun,
  viscosity,
} from '#core/cure';
import { method, resin } from '../../factories';
import { near } from '../help';

test('a film warms itself: 25.2 °C at 2 mm, 28.1 at 4, 40.4 at 8, 90 at 12', () => {
  for (const [film, peak] of [
    [2, 25.2],
    [4, 28.1],
    [8, 40.4],
    [12, 90],
  ] as const)
    near(filmCourse(film, 1.1, steady(23), 240, 23, 55).peakC, peak, 0.1);
});

test('ten seconds at 75 °C age a place by 4.7 minutes', () => near(heatAge(10, 75, 23, 55), 4.7));

test('a film that is laid warm is as warm as the air in a few minutes, and older for it', () => {
  near(coolingMin(2, 1.1), 3.48, 0.01);
  const older = cooledAge(35, 23, coolingMin(2, 1.1), 23, 55);
  assert.ok(older > 0 && older < 4 * coolingMin(2, 1.1));
  assert.equal(cooledAge(23, 23, 3, 23, 55), 0);
  assert.ok(cooledAge(15, 23, 3, 23, 55) < 0, 'and one laid cold is younger');
  // the same by small steps
  let sum = 0;
  for (let min = 0.005; min < 40; min += 0.01) sum += 0.01 * (rate(23 + 12 * Math.exp(-min / coolingMin(2, 1.1)), 23, 55) - 1);
  near(older, sum, 0.02);
});

test('a bead of 20 mm² at 30°, 0.9 Pa·s, runs 68.66 mm in a minute, and says so backward', () => {
  const bead = { area: 20, angle: 30, seconds: 60 };
  near(beadRun(bead, 0.9, 1.1), 68.66);
  fc.assert(
    fc.property(fc.double({ min: 0.05, max: 50, noNaN: true }), (mu) =>
      near(beadViscosity(bead, beadRun(bead, mu, 1.1), 1.1) / mu, 1, 1e-9),
    ),
  );
  near(shortestRun(bead), 22.36, 0.01);
});

test('how much a film still flows: 1/(μk) in steady air, less from later, and from one minute to a third what it is by way of a second', () => {
  const k = Math.log(8) / (60 * 45);
  near(flowing(resin, method, steady(23), { fromMin: 0, ageMin: 0 }) * 0.9 * k, 1, 1e-4);
  const air = (min: number): number => 22 - min / 30;
  const between = (from: number, until: number): number =>
    flowing(resin, method, air, { fromMin: from, ageMin: ageAt(from), untilMin: until });
  const ageAt = (min: number): number =>
    age(
      [0, min].map((at) => ({ min: at, celsius: air(at) })),
      23,
      55,
    );
  near((between(0, 20) + between(20, 60)) / between(0, 60), 1, 0.01);
  assert.ok(between(20, Infinity) < between(0, Infinity));
  near(viscosity(resin, method, 18, 0), 1.2755);
});

test('bottles that were warmed: the cup begins as warm as they are, ages sooner and runs away sooner', () => {
  const grams = 120;
  const of = (startC: number) => cupCourse(grams, cupSurface(grams / 1.1), steady(21), 400, 23, 55, Infinity, startC);
  const [plain, warm] = [of(21), of(35)];
  assert.equal(warm.celsius[0], 35);
  assert.ok(cupAge(warm, 10) > 1.5 * cupAge(plain, 10));
  assert.ok(warm.gelMin < plain.gelMin);
  assert.ok(cupCelsius(warm, 5) > cupCelsius(plain, 5));
  near(cupCelsius(plain, 1e6), plain.celsius.at(-1)!, 1e-9);
});
