import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { daysWith } from '#core/air';
import { AgeLine, Airs, filmAgeing, rate } from '#core/cure';
import { steady } from '#core/air';
import type { Room } from '#core/document';
import { utc } from '../../factories';
import { near } from '../help';

const [MINUTE, HOUR, DAY] = [60_000, 3_600_000, 86_400_000];
const start = Date.parse('2026-11-25T10:07:00Z');
const loft: Room = { id: 'loft', name: 'the loft', dayC: 22, nightC: 16, dayHour: 14, nightHour: 4 };
const wavy = (ms: number): number => 18 + 5 * Math.sin(ms / (5 * HOUR)) + 2 * Math.sin(ms / HOUR);

test('at the data sheet’s temperature a minute is a minute', () => {
  const line = new AgeLine(() => 23, 23, 55);
  near(line.between(start, start + 90 * MINUTE), 90, 1e-9);
  near(line.momentOf(6 * 60, start), start + 6 * HOUR, 1);
});

test('twelve hours at 22 and twelve at 16 °C: mean rate 0.7547', () => {
  const line = new AgeLine((ms) => (ms % DAY < DAY / 2 ? 22 : 16), 23, 55);
  near(line.between(0, DAY) / 1440, 0.7547, 0.0007);
});

test('splitting a history does not change the age, and the moment of an age is the age of that moment', () => {
  const line = new AgeLine(wavy, 23, 55);
  const minutes = fc.integer({ min: 0, max: 30_000 });
  fc.assert(
    fc.property(minutes, minutes, (a, b) => {
      const [middle, end] = [start + a * MINUTE, start + (a + b) * MINUTE];
      near(line.between(start, end), line.between(start, middle) + line.between(middle, end), 1e-6);
      near(line.between(start, line.momentOf(b + 1, start)), b + 1, 1e-6);
    }),
  );
});

test('hotter is never later', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 15, noNaN: true }), fc.integer({ min: 1, max: 5000 }), (by, age) => {
      const [cool, warm] = [new AgeLine(wavy, 23, 55), new AgeLine((ms) => wavy(ms) + by, 23, 55)];
      assert.ok(warm.momentOf(age, start) <= cool.momentOf(age, start) + 1);
    }),
  );
});

test('colder than its lowest temperature a film gathers no hardness: only the warm hours count, and in a cold room none', () => {
  const halves = (ms: number): number => (ms % DAY < DAY / 2 ? 22 : 12);
  const hardens = new AgeLine(halves, 23, 55, 15);
  near(hardens.between(0, DAY), 720 * rate(22, 23, 55), 12);
  assert.equal(new AgeLine(() => 12, 23, 55, 15).momentOf(60, start), Infinity);
  assert.ok(Number.isFinite(new AgeLine(() => 12, 23, 55).momentOf(60, start)), 'tacky it is no longer, all the same');
  assert.equal(filmAgeing(steady(12), 23, 55, 60, 15)(60), Infinity);
  assert.equal(filmAgeing((min) => 12 + 0 * min, 23, 55, 60, 15)(60), Infinity);
});

test('a van at 55 °C in the sun ages a film nine times as fast, and nothing breaks', () => {
  const line = new AgeLine(() => 55, 23, 55);
  near(line.between(start, start + HOUR) / 60, rate(55, 23, 55), 1e-9);
  assert.ok(rate(55, 23, 55) > 8 && rate(55, 23, 55) < 10);
});

test('rooms alike share one line, and readings change it where they are', () => {
  const airs = new Airs(utc);
  assert.equal(airs.line(loft, 23, 55), airs.line({ ...loft }, 23, 55));
  assert.notEqual(airs.line(loft, 23, 55), airs.line(loft, 23, 55, 15));
  const cold = new Airs(
    utc,
    daysWith(
      [],
      'loft',
      Array.from({ length: 12 }, (_, i) => ({ ms: start + i * HOUR, celsius: 10 })),
    ),
  );
  assert.ok(cold.line(loft, 23, 55).momentOf(360, start) > airs.line(loft, 23, 55).momentOf(360, start) + 2 * HOUR);
});
