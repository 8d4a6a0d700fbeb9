import assert from 'node:assert/strict';
import { test } from 'node:test';
import {
  inUnit,
  length,
  plain,
  writeArea,
  writeDuration,
  writeLength,
  writesIn,
  writeShare,
  writeSpan,
  writeTemperature,
  writeThickness,
  writeVolume,
} from '#core/units';

test('figures carry their unit and the digits they are worth', () => {
  assert.equal(writeLength(400, 'mm'), '400 mm');
  assert.equal(writeLength(400, 'cm'), '40 cm');
  assert.equal(writeLength(400, 'in'), '15 3/4 in');
  assert.equal(writeVolume(187.4, 'ml'), '187 ml');
  assert.equal(writeVolume(8.24, 'ml'), '8.2 ml');
  assert.equal(writeVolume(187, 'fl oz'), '6.32 fl oz');
  assert.equal(writeTemperature(21.4, '°C'), '21.4 °C');
  assert.equal(writeTemperature(-10, '°F'), '14 °F');
  assert.equal(writeShare(0.0021), '0.21 %');
  assert.equal(writeShare(0.06), '6 %');
});

test('a range is written with a dash and one unit', () => {
  assert.equal(writeSpan(14.2, 31.4), '14–31 min');
  assert.equal(writeSpan(9 * 60, 27.4 * 60), '9–27 h');
  assert.equal(writeSpan(2.8 * 60, 14 * 60), '2.8–14 h');
  assert.equal(writeSpan(2 * 1440, 3 * 1440), '2–3 d');
  assert.equal(writeDuration(38.2), '38 min');
  assert.equal(writeDuration(390), '6.5 h');
});

test('a minus is a minus sign, and an unknown unit is refused', () => {
  assert.equal(plain(-1.5, 1), '−1.5');
  assert.throws(() => inUnit(length, 1, 'mile'), RangeError);
});

test('inches as a rule is read', () => {
  for (const [mm, text] of [
    [300, '11 13/16 in'],
    [18, '23/32 in'],
    [12.7, '1/2 in'],
    [6, '15/64 in'],
    [25.4, '1 in'],
    [0, '0 in'],
    [-12.7, '−1/2 in'],
    [914.4, '36 in'],
  ] as const)
    assert.equal(writeLength(mm, 'in'), text);
});

test('a studio in US units is told inches, square inches, ounces of both kinds, pounds and °F', () => {
  const us = writesIn({ length: 'in', volume: 'fl oz', temperature: '°F', weight: 'oz wt' });
  assert.equal(us.area(120000), '186 sq in');
  assert.equal(us.area(315000), '3.4 sq ft');
  assert.equal(us.run(1400), '4.6 ft');
  assert.equal(us.fine(1.5), '0.059 in');
  assert.equal(us.coverage(0.64), '2 fl oz/sq ft');
  assert.equal(us.weight(92.4), '3.26 oz wt');
  assert.equal(us.weight(0.5), '0.018 oz wt');
  assert.equal(us.heavy(2400), '5.3 lb');
  assert.equal(us.warmer(5), '9 °F');
  assert.equal(us.density(1.1), '9.18 lb/gal');
  assert.equal(us.perRun(6), '0.062 fl oz a foot');
  assert.equal(us.volume(0.5), '0.017 fl oz');
});

test('a studio in metric units is told grams where it chose no unit of weight', () => {
  const metric = writesIn({ length: 'mm', volume: 'ml', temperature: '°C' });
  assert.equal(metric.weight(92.44), '92.4 g');
  assert.equal(metric.area(120000), '1200 cm²');
  assert.equal(metric.run(1400), '1.4 m');
  assert.equal(metric.fine(0.9), '0.9 mm');
  assert.equal(metric.coverage(2), '20 ml/100 cm²');
  assert.equal(metric.perRun(6), '6 ml a metre');
  assert.equal(writeArea(950, 'cm'), '9.5 cm²');
});

test('a thickness is a word first', () => {
  assert.equal(writeThickness(0.9), 'like oil, 900 mPa·s (cps)');
  assert.equal(writeThickness(7), 'like honey, 7000 mPa·s (cps)');
});
