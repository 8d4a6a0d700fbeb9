import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import {
  area,
  density,
  film,
  fraction,
  inUnit,
  length,
  mass,
  read,
  readRatio,
  readThickness,
  readWithin,
  temperature,
  volume,
  duration,
  writeThickness,
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
  near(value(mass, '1 oz wt'), 28.349523125, 1e-12);
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

test('inches and feet as they stand on a rule, a plan and a shop’s label', () => {
  for (const [text, inches] of [
    ['½ in', 0.5],
    ['1½ in', 1.5],
    ['1½"', 1.5],
    ['1-1/2"', 1.5],
    ['12 1/2 in', 12.5],
    ['12 1/2"', 12.5],
    ['1\' 4"', 16],
    ['1’ 4”', 16],
    ['1′4″', 16],
    ['1 ft 4 in', 16],
    ['1 ft 4 1/2 in', 16.5],
    ["1' 4", 16],
    ['12”', 12],
    ['12 in.', 12],
    ['12 Inches', 12],
    ['2 ft.', 24],
  ] as const)
    near(value(length, text), inches * 25.4, 1e-9);
  near(value(length, '1½', 'in'), 38.1, 1e-9);
  near(value(length, '1½', 'mm'), 1.5, 1e-9);
});

test('kitchen spoons, cans and jugs, and weights in two units', () => {
  const ounce = 29.5735295625;
  for (const [text, ml] of [
    ['2 fluid oz', 2 * ounce],
    ['2 fl. oz.', 2 * ounce],
    ['1 cup', 8 * ounce],
    ['2 cups', 16 * ounce],
    ['1 tsp', ounce / 6],
    ['1/2 tsp', ounce / 12],
    ['3 tbsp', 1.5 * ounce],
    ['1 pint', 16 * ounce],
    ['1 gallon', 128 * ounce],
    ['5 cc', 5],
    ['3 dl', 300],
    ['1e3 ml', 1000],
    ['1 000 ml', 1000],
  ] as const)
    near(value(volume, text), ml, 1e-9);
  near(value(mass, '1 lb 4 oz'), 20 * 28.349523125, 1e-9);
  near(value(mass, '2 oz by weight'), 2 * 28.349523125, 1e-9);
  assert.equal(value(duration, '1 h 30 min'), 90);
  assert.equal(value(duration, '1 h 30'), 90);
  assert.equal(value(duration, '2 d 12 h'), 3600);
});

test('coverage and density as kits state them', () => {
  near(value(film, '15 ml / 100 cm²'), 1.5, 1e-9);
  near(value(film, '15ml/100cm2'), 1.5, 1e-9);
  near(value(film, '2 oz/sq ft'), 0.63665, 1e-5);
  near(value(film, '2 oz per sq. ft.'), 0.63665, 1e-5);
  near(value(film, '2 fl oz a sq ft'), 0.63665, 1e-5);
  near(value(film, '1/16 in'), 1.5875, 1e-9);
  near(value(density, '9.2 lb/gal'), 1.1024, 1e-4);
  near(value(area, '2 sq ft'), 185806.08, 1e-6);
  near(value(area, '100 cm2'), 10000, 1e-9);
});

test('ounces that can be two things are asked about, unless the studio reads one of them anyway', () => {
  assert.match(says(volume, '2 oz'), /“2 oz” can be fluid ounces or ounces by weight\. This is a volume: write “2 fl oz”/);
  assert.match(says(mass, '2 oz'), /This is a weight: write “2 oz wt”/);
  near(value(volume, '2 oz', 'fl oz'), 59.147, 0.001);
  near(value(mass, '2 oz', 'oz wt'), 56.699, 0.001);
});

test('a mark before three digits is treated alike, whichever it is, and settled where only one can be', () => {
  for (const text of ['1.000 mm', '1,000 mm']) assert.match(says(length, text), /could mean 1000 or 1\.0\./);
  for (const text of ['1.000', '1,000']) {
    assert.deepEqual(readWithin(length, text, { min: 20, max: 3000 }, 'A side', String), { ok: true, value: 1000 });
    assert.deepEqual(readWithin(density, text, { min: 0.5, max: 3 }, 'A density', String), { ok: true, value: 1 });
  }
  assert.equal(value(length, '1,234.5 mm'), 1234.5);
  assert.equal(value(length, '1.234,5 mm'), 1234.5);
  assert.equal(value(volume, '0.025 ml'), 0.025);
});

test('a thickness by what it flows like, and as a data sheet states it', () => {
  const range = { min: 0.02, max: 100 };
  const pas = (text: string): number => {
    const reading = readThickness(text, range, 'A thickness');
    assert.ok(reading.ok, text);
    return reading.value;
  };
  assert.equal(pas('like oil'), 0.9);
  assert.equal(pas('Honey'), 7);
  assert.equal(pas('3000 cps'), 3);
  assert.equal(pas('900 mPa·s'), 0.9);
  assert.equal(pas('0.9 Pa·s'), 0.9);
  assert.equal(pas('900'), 0.9);
  for (const thick of [0.05, 0.9, 3, 12.5]) assert.equal(pas(writeThickness(thick)), thick);
  assert.match((readThickness('like mud', range, 'A thickness') as { says: string }).says, /like oil/);
});

test('an area in acres, and a length that is none, say what would be right', () => {
  assert.match(says(area, '2 acres'), /“acres” is not an area unit here\. Write mm², cm², m², sq in or sq ft/);
  assert.match(says(length, '1 ft 4 ft'), /is not a length/);
  assert.match(says(length, '4 in 1 ft'), /is not a length/);
});

test('what is wrong is said, with what would be right', () => {
  assert.match(
    says(length, '12 inchs'),
    /“inchs” is not a length unit here\. Write mm, cm, m, in or ft, as in “12 in”\. Did you mean “12 in”\?/,
  );
  assert.match(says(length, 'twelve'), /has no number in front/);
  assert.match(says(length, ''), /Give a length, as in “12 in”/);
  assert.match(says(length, '1.2.3 mm'), /is not a number/);
  assert.match(says(length, '1,200 mm'), /could mean 1200 or 1\.2\. Write it without the mark/);
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
