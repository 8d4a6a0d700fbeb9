import assert from 'node:assert/strict';
import { test } from 'node:test';
import { steady } from '#core/air';
import { measuredDoubts, ordinaryDoubts } from '#core/craft';
import { ageOfViscosity, likely, minuteOfAge, type Doubts, type Shift } from '#core/cure';
import { method, resin } from '../../factories';
import { near } from '../help';

/** When 0.9 Pa·s, working 45, is 2.5 Pa·s thick in a film at 20 °C. */
function body({ temperature = 0, working = 0, viscosity = 0, ea = 0, eMu = 0, threshold = 0 }: Shift): { body: number } {
  const own = { ...resin, workingMin: 45 * Math.exp(working), viscosity: 0.9 * Math.exp(viscosity) };
  const habits = { ...method, activationEa: 55 + ea, activationEmu: 50 + eMu };
  const celsius = 20 + temperature;
  const age = ageOfViscosity(own, habits, celsius, 2.5 * Math.exp(threshold));
  return { body: minuteOfAge(age, steady(celsius), 23, habits.activationEa) };
}
const sure = (doubts: Partial<Doubts> = {}) => likely(body, { ...ordinaryDoubts, ...doubts }).body;

test('2.5 Pa·s for 0.9 Pa·s, working 45, at 20 °C: 22.14 min, σ 5.98, 14.5–29.8', () => {
  const found = sure();
  near(found.middle, 22.14);
  near(found.sigma, 5.98);
  near(found.from, 14.5);
  near(found.until, 29.8);
  assert.equal(found.most, 'viscosity');
});

test('what is measured narrows it, and then another input is most of what is left', () => {
  const bead = sure({ viscosity: measuredDoubts.viscosity });
  assert.ok(bead.sigma < 0.8 * sure().sigma);
  assert.notEqual(bead.most, 'viscosity');
  const all = sure(Object.fromEntries(Object.keys(ordinaryDoubts).map((k) => [k, 0])));
  assert.deepEqual([all.sigma, all.from, all.until, all.most], [0, all.middle, all.middle, undefined]);
});

test('a figure that never comes is never sure, and none lies before the beginning', () => {
  const never = likely(() => ({ late: Infinity }), ordinaryDoubts).late;
  assert.deepEqual([never.middle, never.until, never.most], [Infinity, Infinity, undefined]);
  const cliff = likely(({ temperature = 0 }) => ({ at: temperature < 0 ? Infinity : 30 }), ordinaryDoubts).at;
  assert.deepEqual([cliff.from, cliff.until], [30, Infinity], 'it may never come');
  assert.equal(likely(({ temperature = 0 }) => ({ at: 1 + 10 * temperature }), ordinaryDoubts).at.from, 0);
});
