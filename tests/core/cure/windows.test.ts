import assert from 'node:assert/strict';
import { test } from 'node:test';
import { steady } from '#core/air';
import { rate, viscosity, windowsOf, type Windows } from '#core/cure';
import { method, resin } from '../../factories';
import { near } from '../help';

/** Windows with the white's cup as cool as the film. */
const cool = (celsius: number, multiplier = 1, r = resin): Required<Windows> =>
  windowsOf(r, method, steady(celsius), { multiplier, minuteOfAge: (age) => age / rate(celsius, r.refC, 55) }) as Required<Windows>;

test('thin resin at 23 °C: white from 1.8 Pa·s at 15 min until 7 Pa·s, the later of that and two thirds of working', () => {
  const w = cool(23);
  near(w.white.from, 15, 0.001);
  near(viscosity(resin, method, 23, w.white.until), 7, 1e-6);
  assert.ok(w.white.until < 45 && w.white.until > 30);
  near(w.whiteBest.from - w.white.from, (w.white.until - w.white.from) / 3, 1e-9);
  near(w.white.until - w.whiteBest.until, (w.white.until - w.white.from) / 3, 1e-9);
});

test('thick resin is ready once it is stirred, and until two thirds of its working age', () => {
  const w = cool(23, 1, { ...resin, viscosity: 4, workingMin: 36 });
  assert.equal(w.white.from, resin.stirMin);
  near(w.white.until, 24, 1e-9);
});

test('white never waits past the working age', () => {
  const w = cool(23, 1, { ...resin, viscosity: 0.2 });
  near(w.white.until, 45, 1e-9);
});

test('the other windows are ages of the film', () => {
  const w = cool(23);
  assert.deepEqual(w.tint, { from: 4, until: 22.5 });
  assert.deepEqual([w.heatUntil, w.lastMoves.from, w.lastMoves.until], [45, 36, 45]);
  assert.deepEqual(w.shells, { from: 15, until: 45 });
  assert.deepEqual(w.nextCoat, { from: 360, until: 1440 });
  assert.equal(w.fullCure, 4320);
  assert.deepEqual(w.leave, { from: 45, until: 1440 });
  near(w.cellsThreeQuarters, 30.0, 0.05);
  assert.ok(w.cellsNearlyAll > w.cellsThreeQuarters);
});

test('a cooler room opens every window later and longer', () => {
  const [warm, cold] = [cool(26), cool(18)];
  for (const key of ['tint', 'lastMoves', 'nextCoat', 'shells'] as const) {
    assert.ok(cold[key].until > warm[key].until);
    assert.ok(cold[key].until - cold[key].from > warm[key].until - warm[key].from);
  }
  assert.ok(cold.white.until - cold.white.from > warm.white.until - warm.white.from);
});

test('paste makes white ready sooner than clear would be', () => assert.ok(cool(23, 1.2).white.from < cool(23).white.from));
