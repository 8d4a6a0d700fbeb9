import assert from 'node:assert/strict';
import { test } from 'node:test';
import { airShown, newThermometer, thermometerAfter, thermometerMoved, type SimulatedThermometer } from '#core/simulate';

const after = (own: SimulatedThermometer, seconds: number): SimulatedThermometer =>
  Array.from({ length: seconds }).reduce((t: SimulatedThermometer) => thermometerAfter(t, 1), own);

test('a thermometer lags behind its room, gets there, and wanders by no more than a draught', () => {
  const warmed = thermometerMoved(newThermometer(20), { does: 'warm', celsius: 27 });
  assert.equal(airShown(warmed)!.celsius, 20);
  const soon = airShown(after(warmed, 3))!.celsius;
  assert.ok(soon > 21 && soon < 27);
  for (const seconds of [60, 200, 400]) assert.ok(Math.abs(airShown(after(warmed, seconds))!.celsius - 27) <= 0.3);
  assert.equal(airShown(thermometerMoved(warmed, { does: 'air', humidity: 0.4 }))!.humidity, 0.4);
});

test('one that stops shows nothing until it goes on', () => {
  const stopped = thermometerMoved(newThermometer(20), { does: 'stop' });
  assert.equal(airShown(after(stopped, 5)), undefined);
  assert.equal(airShown(thermometerMoved(stopped, { does: 'go on' }))!.celsius, 20);
});
