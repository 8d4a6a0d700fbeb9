import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { age, filmAgeing, minuteOfAge, rate } from '#core/cure';
import { near } from '../help';

test('the clock beside 23 °C', () => {
  near(rate(15, 23, 55), 0.5379);
  near(rate(20, 23, 55), 0.7957);
  near(rate(26, 23, 55), 1.2511);
  near(rate(30, 23, 55), 1.6749);
  assert.equal(rate(23, 23, 55), 1);
});

test('twelve hours at 22 and twelve at 16 °C: mean rate 0.7547', () => {
  const day = [
    { min: 0, celsius: 22 },
    { min: 720, celsius: 22 },
  ];
  const night = [
    { min: 0, celsius: 16 },
    { min: 720, celsius: 16 },
  ];
  near((age(day, 23, 55) + age(night, 23, 55)) / 1440, 0.7547);
});

test('the rate is integrated, not taken of the mean temperature', () => {
  const ramp =
    age(
      [
        { min: 0, celsius: 10 },
        { min: 100, celsius: 36 },
      ],
      23,
      55,
    ) / 100;
  const fine = Array.from({ length: 20001 }, (_, i) => ({ min: i / 200, celsius: 10 + (26 * i) / 20000 }));
  near(ramp, age(fine, 23, 55) / 100, 1e-7);
  assert.ok(ramp > 1.02 * rate(23, 23, 55));
});

test('age only grows, faster where it is warmer, and adds up over parts', () => {
  const temps = fc.array(fc.double({ min: 5, max: 40, noNaN: true }), { minLength: 3, maxLength: 8 });
  fc.assert(
    fc.property(temps, (cs) => {
      const readings = cs.map((celsius, i) => ({ min: 30 * i, celsius }));
      const ages = readings.map((_, i) => age(readings.slice(0, i + 1), 23, 55));
      assert.ok(ages.every((a, i) => i === 0 || a > ages[i - 1]!));
      near(age(readings.slice(0, 2), 23, 55) + age(readings.slice(1), 23, 55), ages.at(-1)!, 1e-9);
      assert.ok(
        age(
          readings.map((r) => ({ ...r, celsius: r.celsius + 1 })),
          23,
          55,
        ) > ages.at(-1)!,
      );
    }),
  );
});

test('the minute of an age, at one temperature and through a night', () => {
  near(
    minuteOfAge(480, () => 23, 23, 55),
    480,
    1e-6,
  );
  near(
    minuteOfAge(480, () => 20, 23, 55),
    480 / rate(20, 23, 55),
    1e-6,
  );
  const air = (min: number): number => 20 + 3 * Math.cos((2 * Math.PI * min) / 1440);
  const at = minuteOfAge(900, air, 23, 55);
  const readings = Array.from({ length: 2001 }, (_, i) => ({ min: (at * i) / 2000, celsius: air((at * i) / 2000) }));
  near(age(readings, 23, 55), 900, 1);
  // past sixty days of air it ages on as it last did
  near(minuteOfAge(1e9, () => 5, 23, 55) / (1e9 / rate(5, 23, 55)), 1, 1e-9);
});

test('however many ages are asked of one film, and in whatever order, each comes when it came by itself', () => {
  const air = (min: number): number => 18 + 5 * Math.sin(min / 229);
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0, max: 9000, noNaN: true }), { minLength: 1, maxLength: 6 }), (wanted) => {
      const minuteOf = filmAgeing(air, 23, 55);
      for (const one of wanted) near(minuteOf(one), minuteOfAge(one, air, 23, 55), 1e-6);
      const inOrder = [...wanted].sort((a, b) => a - b).map(minuteOf);
      assert.ok(inOrder.every((m, i) => i === 0 || m >= inOrder[i - 1]!));
    }),
  );
});
