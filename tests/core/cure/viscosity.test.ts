import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { ageOfViscosity, rate, thickenedBy, thickeningRate, viscosity } from '#core/cure';
import { method, resin } from '../../factories';
import { near } from '../help';

test('0.9 Pa·s at 23 °C, working 45', () => {
  near(viscosity(resin, method, 23, 15), 1.8, 1e-4);
  near(viscosity(resin, method, 23, 45), 7.2, 1e-4);
  near(viscosity(resin, method, 18, 0), 1.2755);
  near(viscosity(resin, method, 28, 10), 1.0198);
});

test('2.5 Pa·s in a film at 20 °C comes at 22.1 min', () => near(ageOfViscosity(resin, method, 20, 2.5) / rate(20, 23, 55), 22.14, 0.01));

test('solids thicken: none nothing, 30 % about threefold, and never thinner', () => {
  near(thickenedBy(0), 1);
  near(thickenedBy(0.3), (1 - 0.3 / 0.63) ** -1.575, 1e-12);
  fc.assert(fc.property(fc.double({ min: 0, max: 0.5, noNaN: true }), (phi) => thickenedBy(phi + 0.05) > thickenedBy(phi)));
});

test('the age of a thickness is the thickness at that age', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 10, max: 35, noNaN: true }),
      fc.double({ min: 0.5, max: 20, noNaN: true }),
      fc.double({ min: 1, max: 2, noNaN: true }),
      (t, pas, m) => {
        near(viscosity(resin, method, t, ageOfViscosity(resin, method, t, pas, m), m) / pas, 1, 1e-9);
      },
    ),
  );
});

test('three quarters of the cells have opened 30.0 min later at working 45', () => {
  near(Math.log(4) / thickeningRate(resin, method), 30.0, 0.05);
  assert.ok(thickeningRate({ workingMin: 90 }, method) < thickeningRate(resin, method));
});
