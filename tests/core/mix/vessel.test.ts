import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { startingVessels } from '#core/craft';
import type { Vessel } from '#core/document';
import {
  densityFromWater,
  fillHeight,
  markFromWater,
  readDensity,
  readDrop,
  readMarks,
  vesselFor,
  waterDensity,
  writeMarks,
} from '#core/mix';
import { metric, us } from '../../factories';
import { near } from '../help';

const tumbler: Vessel = {
  id: 'tumbler',
  name: 'Tumbler',
  use: 'cup',
  holds: 250,
  count: 1,
  marks: [
    { ml: 50, mm: 22.6 },
    { ml: 100, mm: 41.2 },
    { ml: 200, mm: 71.3 },
  ],
};

test('a cup is suggested that holds the amount with room to stir', () => {
  assert.equal(vesselFor(25, startingVessels)?.name, '30 ml cup');
  assert.equal(vesselFor(26, startingVessels)?.name, '100 ml cup');
  assert.equal(vesselFor(505, startingVessels), undefined);
  assert.equal(vesselFor(5, [{ ...tumbler, use: 'mould' }]), undefined, 'a mould is no cup');
});

test('the fill height goes through every mark and rises all the way', () => {
  for (const mark of tumbler.marks!) near(fillHeight(mark.ml, tumbler)!, mark.mm, 1e-9);
  assert.equal(fillHeight(0, tumbler), 0);
  assert.equal(fillHeight(201, tumbler), undefined, 'above the highest mark nothing is known');
  assert.equal(fillHeight(50, {}), undefined);
  fc.assert(
    fc.property(fc.double({ min: 0, max: 199, noNaN: true }), (ml) => assert.ok(fillHeight(ml + 1, tumbler)! > fillHeight(ml, tumbler)!)),
  );
});

test('between the marks of a straight cup it is a straight line; of a tapered one within half a millimetre of the cone', () => {
  const straight = {
    marks: [
      { ml: 50, mm: 20 },
      { ml: 100, mm: 40 },
      { ml: 150, mm: 60 },
    ],
  };
  near(fillHeight(77, straight)!, 30.8, 1e-9);
  // a frustum of 40 mm at the floor that widens by a tenth of its height
  const volume = (h: number): number => (Math.PI * (400 * h + 2 * h * h + (0.01 * h ** 3) / 3)) / 1000;
  const marks = [15, 30, 45, 60].map((mm) => ({ ml: volume(mm), mm }));
  for (const h of [8, 20, 37, 55]) near(fillHeight(volume(h), { marks })!, h, 0.5);
});

test('water at 20 °C is 0.9982 g/ml, so 49.91 g of it are 50 ml', () => {
  near(waterDensity(20), 0.9982);
  near(waterDensity(4), 1, 5e-6);
  near(waterDensity(25), 0.997, 1e-4);
  near(markFromWater(49.91, 22.6, 20).ml, 50, 0.01);
});

test('a density in two minutes: 57.6 g of resin where 50 g of water stood', () => {
  near(densityFromWater(57.6, 50, 20), 1.15);
  const reading = readDensity('57.6 g / 50 g', metric);
  assert.ok(reading.ok);
  near(reading.value, 1.15, 0.001);
  assert.deepEqual(readDensity('1.15 g/ml', metric), { ok: true, value: 1.15 });
  for (const [text, says] of [
    ['0.4', /outside what can be planned. Give 0.5 g\/ml to 3 g\/ml/],
    ['3.2', /outside/],
    ['57.6 g / 0 g', /comes to no density/],
    ['500 g / 50 g', /comes to 9.982 g\/ml/],
    ['heavy', /has no number/],
  ] as const) {
    const bad = readDensity(text, metric);
    assert.ok(!bad.ok, text);
    assert.match(bad.says, says);
  }
});

test('a drop, stated or counted to a gram', () => {
  const said = readDrop('36 to a gram', 1.1, metric);
  assert.ok(said.ok);
  near(said.value, 0.0253);
  const spoon = readDrop('49 to ¼ tsp', 1.1, us);
  assert.ok(spoon.ok);
  near(spoon.value, 0.0251);
  assert.deepEqual(readDrop('0.025 ml', 1.1, metric), { ok: true, value: 0.025 });
  const counted = readDrop('40 to a gram', 1.1, metric);
  assert.ok(counted.ok);
  near(counted.value, 0.0227, 1e-4);
  const none = readDrop('0 to a gram', 1.1, metric);
  assert.ok(!none.ok);
  assert.match(none.says, /Count the drops, as in “36\.4 to a gram”/);
});

test('marks as they are typed, in any order, and back', () => {
  const reading = readMarks('100 g at 41 mm, 50 g at 22 mm', 250, metric);
  assert.ok(reading.ok);
  assert.deepEqual(
    reading.value.map((m) => m.mm),
    [22, 41],
  );
  assert.equal(readMarks(writeMarks(tumbler.marks!, metric), 250, metric).ok, true);
  assert.deepEqual(readMarks(' ', 250, metric), { ok: true, value: [] });
  for (const [text, says] of [
    ['50 g', /is no mark/],
    ['50 g at 30 mm, 100 g at 20 mm', /More water must stand higher/],
    ['300 g at 60 mm', /over what the cup holds, 250 ml/],
    ['50 stones at 30 mm', /not a volume unit|not a weight unit/],
  ] as const) {
    const bad = readMarks(text, 250, metric);
    assert.ok(!bad.ok, text);
    assert.match(bad.says, says);
  }
});
