import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
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

test('hotter is never later, and windows follow one another as they must, for any resin, room and bottle', () => {
  const some = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  fc.assert(
    fc.property(some(8, 38), some(0, 12), some(5, 120), some(0.1, 8), some(-3, 12), (celsius, by, workingMin, thick, ahead) => {
      const r = { ...resin, workingMin, gelMin: 4 * workingMin, viscosity: thick };
      const at = (c: number): Windows =>
        windowsOf(r, method, steady(c), { multiplier: 1.2, minuteOfAge: (age) => age / rate(c, r.refC, 55) }, { ahead });
      const [cool, warm] = [at(celsius), at(celsius + by)];
      for (const key of ['lastMoves', 'shells', 'leave', 'nextCoat'] as const)
        assert.ok(warm[key].from <= cool[key].from + 1e-9 && warm[key].until <= cool[key].until + 1e-9, key);
      assert.ok(warm.fullCure <= cool.fullCure && warm.heatUntil <= cool.heatUntil + 1e-9);
      for (const w of [cool, warm]) {
        assert.ok(w.tint.from <= w.tint.until && w.shells.from <= w.lastMoves.from && w.lastMoves.until === w.heatUntil);
        assert.ok(w.heatUntil <= w.leave.until && w.nextCoat.from < w.nextCoat.until && w.leave.until <= w.fullCure);
        const { white, whiteBest } = w as Required<Windows>;
        if (white.until > white.from)
          assert.ok(whiteBest.from >= white.from && whiteBest.until <= white.until && white.until <= w.heatUntil + 1e-9);
      }
    }),
  );
});
