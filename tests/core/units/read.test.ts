import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import {
  film,
  fraction,
  inUnit,
  length,
  mass,
  read,
  readRatio,
  readWithin,
  temperature,
  volume,
  duration,
  type Quantity,
} from '#core/units';
import { near } from '../help';

const value = (q: Quantity, text: string, assume?: string): number => {
  const reading = read(q, text, assume);
  assert.ok(reading.ok, reading.ok ? '' : reading.says);
  return reading.value;
};
const says = (q: Quantity, text: string): string => {
  const reading = read(q, text);
  assert.ok(!reading.ok, `“${text}” was read as ${reading.ok ? reading.value : ''}`);
  return reading.says;
};

test('lengths as they are written', () => {
  assert.equal(value(length, '12 in'), 304.8);
  assert.equal(value(length, '30 cm'), 300);
  assert.equal(value(length, '1.5m'), 1500);
  assert.equal(value(length, '2 ft'), 609.6);
  assert.equal(value(length, '12"'), 304.8);
  near(value(length, '1 1/2 in'), 38.1, 1e-9);
  near(value(length, '3/4 in'), 19.05, 1e-9);
  assert.equal(value(length, '1,5 cm'), 15);
  assert.equal(value(length, '400'), 400);
  assert.equal(value(length, '16', 'in'), 406.4);
});

test('volumes, weights, temperatures, times and shares as they are written', () => {
  near(value(volume, '3 fl oz'), 88.7206, 0.0001);
  assert.equal(value(volume, '250 ml'), 250);
  assert.equal(value(volume, '1.2 l'), 1200);
  near(value(mass, '1 oz'), 28.349523125, 1e-12);
  near(value(temperature, '72 F'), 22.2222, 0.0001);
  assert.equal(value(temperature, '−10 °C'), -10);
  assert.equal(value(duration, '1.5 h'), 90);
  near(value(fraction, '6 %'), 0.06, 1e-12);
  assert.equal(value(fraction, '0.06'), 0.06);
});

test('a film by its thickness or by the coverage it comes to', () => {
  assert.equal(value(film, '1.5 mm'), 1.5);
  assert.equal(value(film, '15 ml/100 cm²'), 1.5);
  assert.equal(value(film, '15 ml per 100 cm2'), 1.5);
  near(value(film, '6 oz/ft²'), 1.91, 0.005);
});

test('what is wrong is said, with what would be right', () => {
  assert.match(
    says(length, '12 inchs'),
    /“inchs” is not a length unit here\. Write mm, cm, m, in or ft, as in “12 in”\. Did you mean “12 in”\?/,
  );
  assert.match(says(length, 'twelve'), /has no number in front/);
  assert.match(says(length, ''), /Give a length, as in “12 in”/);
  assert.match(says(length, '1.2.3 mm'), /is not a number/);
  assert.match(says(length, '1,200 mm'), /could mean 1200 or 1\.200/);
  assert.match(says(length, '1/0 in'), /is not a number/);
  assert.match(says(temperature, '20 K'), /Write °C or °F/);
});

test('a 40 m board and a room at −10 °C are held to what can be planned', () => {
  const side = readWithin(length, '40 m', { min: 20, max: 3000 }, 'A side', (mm) => `${mm} mm`);
  assert.deepEqual(side, { ok: false, says: 'A side of 40000 mm is outside what can be planned. Give 20 mm to 3000 mm.' });
  const room = readWithin(temperature, '-10', { min: 5, max: 40 }, 'A room', (c) => `${c} °C`);
  assert.ok(!room.ok && /A room of -10 °C/.test(room.says));
  assert.ok(readWithin(length, '30 cm', { min: 20, max: 3000 }, 'A side', String).ok);
});

test('reading what was written in any unit gives the value back', () => {
  for (const q of [length, volume, mass, temperature, duration])
    fc.assert(
      fc.property(fc.constantFrom(...q.units), fc.integer({ min: 1, max: 999 }), (unit, n) => {
        near(inUnit(q, value(q, `${n} ${unit.name}`), unit.name) / n, 1, 1e-10);
      }),
    );
});

test('nothing that is typed makes it throw', () => {
  fc.assert(
    fc.property(fc.string(), (text) => {
      const reading = read(length, text);
      assert.ok(reading.ok ? Number.isFinite(reading.value) : reading.says.length > 10);
    }),
  );
});

test('a page pasted into a field is refused at once, and so is a desert of blanks', () => {
  const blanks = ' '.repeat(100_000);
  for (const text of [
    `1${blanks}2`,
    `1${blanks}to${blanks}x`,
    '1'.repeat(100_000),
    '/'.repeat(100_000),
    `${blanks}:${blanks}`,
    '1 '.repeat(50_000),
  ]) {
    const start = performance.now();
    assert.equal(read(length, text).ok, false);
    assert.equal(readRatio(text).ok, false);
    assert.ok(performance.now() - start < 500, text.slice(0, 20));
  }
  assert.match(says(length, 'x'.repeat(300)), /is too long\. Write it in up to 200 letters/);
  assert.deepEqual(readRatio(`2${blanks}:${blanks}1`), { ok: true, a: 2, b: 1 });
});
