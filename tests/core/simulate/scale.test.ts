import assert from 'node:assert/strict';
import { test } from 'node:test';
import { advance, laidOn, newScale, poured, shows, tared, type SimulatedScale } from '#core/simulate';
import { near } from '../help';

const STEP = 0.1;
const run = (scale: SimulatedScale, seconds: number): SimulatedScale => {
  let s = scale;
  for (let t = 0; t < seconds; t += 0.1) s = advance(s, 0.1, STEP);
  return s;
};

test('something put on is shown after it has settled, and not at once', () => {
  const put = laidOn(newScale(1), 50);
  assert.ok(shows(advance(put, 0.1, STEP), STEP).grams < 25);
  assert.equal(shows(run(put, 0.5), STEP).stable, false);
  const rested = run(put, 5);
  near(shows(rested, STEP).grams, 50, 0.1);
  assert.equal(shows(rested, STEP).stable, true);
});

test('tare calls it nothing; taking the cup off shows it missing', () => {
  const empty = tared(run(laidOn(newScale(2), 6.4), 5));
  near(shows(empty, STEP).grams, 0, 0.05);
  near(shows(run(laidOn(empty, -6.4), 5), STEP).grams, -6.4, 0.15);
});

test('a stream swells, and some still falls after the hand stops', () => {
  const pouring = run(poured(newScale(3), 3), 10);
  assert.ok(pouring.load > 28 && pouring.load < 30, String(pouring.load));
  const after = run(poured(pouring, 0), 5);
  near(after.load - pouring.load, 3 * 0.25, 0.1);
  assert.equal(after.flow, 0);
});

test('the zero wanders by hundredths over minutes, and the same seed tells the same story', () => {
  const wandered = run(tared(newScale(4)), 60);
  assert.ok(Math.abs(wandered.load) < 1e-12);
  assert.ok(Math.abs(shows(wandered, 0.001).grams) > 0.02 && Math.abs(shows(wandered, 0.001).grams) < 0.04);
  assert.deepEqual(run(poured(newScale(5), 2), 3), run(poured(newScale(5), 2), 3));
});
