import assert from 'node:assert/strict';
import { test } from 'node:test';
import { inUnit, length, plain, writeDuration, writeLength, writeShare, writeSpan, writeTemperature, writeVolume } from '#core/units';

test('figures carry their unit and the digits they are worth', () => {
  assert.equal(writeLength(400, 'mm'), '400 mm');
  assert.equal(writeLength(400, 'cm'), '40 cm');
  assert.equal(writeLength(400, 'in'), '15.75 in');
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
