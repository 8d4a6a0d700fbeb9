import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { byTheHour, Climate, daysWith, dewPoint, humidityAt, readingsOf, roomAt, sayDay, sayMoment, Zone, type AirAt } from '#core/air';
import type { Room } from '#core/document';
import { utc } from '../../factories';
import { near } from '../help';

const HOUR = 3_600_000;
const noon = Date.parse('2026-11-25T12:00:00Z');
const loft: Room = { id: 'loft', name: 'the loft', dayC: 22, nightC: 16, dayHour: 14, nightHour: 4 };
const read = (hours: number, celsius: number, humidity?: number): AirAt => ({
  ms: noon + hours * HOUR,
  celsius,
  ...(humidity !== undefined && { humidity }),
});
const climate = (readings: AirAt[], room = loft, zone = utc): Climate => new Climate(room, daysWith([], 'loft', readings), zone);
const usual = (ms: number): number => roomAt(loft, utc.localMinute(ms));

test('20 °C at 65 %: anything below 13.2 °C gets damp', () => near(dewPoint(20, 0.65), 13.22));

test('the same air is damper by night, and no damper than full', () => {
  near(humidityAt(0.6, 21, 16), 0.821, 0.001);
  assert.equal(humidityAt(0.9, 21, 5), 1);
  near(humidityAt(humidityAt(0.5, 22, 17), 17, 22), 0.5, 1e-9);
  assert.ok(Math.abs(dewPoint(22, 0.5) - dewPoint(17, humidityAt(0.5, 22, 17))) < 0.05, 'and its dew point stays');
});

test('between readings the air runs straight; where nothing was read it is as usual', () => {
  const c = climate([read(0, 20), read(2, 24)]);
  near(c.at(noon), 20, 1e-9);
  near(c.at(noon + HOUR), 22, 1e-9);
  near(climate([]).at(noon + 5 * HOUR), usual(noon + 5 * HOUR), 1e-9);
  near(c.at(noon + 3 * 24 * HOUR), usual(noon + 3 * 24 * HOUR), 1e-6);
});

test('after the last reading, and in a wide gap, it goes over to the usual without a leap', () => {
  const c = climate([read(-30, 12), read(0, 25), read(40, 12)]);
  for (const at of [-30, 0, 40]) near(c.at(noon + at * HOUR), at === 0 ? 25 : 12, 1e-9);
  for (let ms = noon - 35 * HOUR; ms < noon + 60 * HOUR; ms += HOUR / 4)
    assert.ok(Math.abs(c.at(ms + HOUR / 4) - c.at(ms)) < 1.3, new Date(ms).toISOString());
  near(c.at(noon + 20 * HOUR), usual(noon + 20 * HOUR), 0.1);
});

test('how much of a stretch was read leaves gaps out', () => {
  const c = climate([read(0, 20), read(1, 20), read(2, 20), read(20, 20), read(21, 20)]);
  near(c.known(noon, noon + 2 * HOUR), 1, 1e-9);
  near(c.known(noon, noon + 20 * HOUR), 0.1, 1e-9);
  assert.equal(climate([]).known(noon, noon + HOUR), 0);
  assert.equal(c.readings(noon, noon + 2 * HOUR).length, 3);
});

test('heating keeps a room from getting colder from one hour until another, and no warmer than it is', () => {
  const heated: Room = { ...loft, heating: { celsius: 20, from: 22, until: 7 } };
  assert.equal(roomAt(heated, 4 * 60), 20);
  assert.equal(roomAt(heated, 14 * 60), 22);
  near(roomAt(heated, 12 * 60), roomAt(loft, 12 * 60), 1e-9);
  assert.ok(roomAt(heated, 7 * 60 + 30) < 20 && roomAt(heated, 7 * 60 + 30) > roomAt(loft, 7 * 60 + 30), 'it cools within an hour');
  assert.equal(roomAt({ ...loft, heating: { celsius: 20, from: 6, until: 6 } }, 4 * 60), 20, 'all day');
  fc.assert(fc.property(fc.integer({ min: 0, max: 1440 }), (m) => roomAt(heated, m) >= roomAt(loft, m) && roomAt(heated, m) <= 22));
});

test('damp is the last that was read, as its air cools; else the room’s own; else not known', () => {
  assert.equal(climate([]).humidity(noon), undefined);
  near(climate([], { ...loft, humidity: 0.5 }).humidity(noon)!, humidityAt(0.5, 22, usual(noon)), 1e-9);
  near(climate([read(0, 22, 0.4), read(1, 20)]).humidity(noon + HOUR)!, humidityAt(0.4, 22, 20), 1e-9);
});

test('readings are kept by the day in UTC, a minute once, and come back in order', () => {
  const first = daysWith([], 'loft', [read(13, 18.123), read(-1, 20), read(0, 21, 0.5)]);
  assert.deepEqual(first.map((d) => [d.id, d.readings.length]).sort(), [
    ['loft-2026-11-25', 2],
    ['loft-2026-11-26', 1],
  ]);
  const [again] = daysWith(first, 'loft', [read(0, 22)]);
  assert.deepEqual(again!.readings, [
    { min: 660, celsius: 20 },
    { min: 720, celsius: 22 },
  ]);
  assert.deepEqual(
    readingsOf(first, 'loft').map((r) => r.celsius),
    [20, 21, 18.12],
  );
  assert.deepEqual(readingsOf(first, 'kitchen'), []);
});

test('readings finer than an hour become one an hour, and as many as there are hours', () => {
  const fine = Array.from({ length: 120 }, (_, i) => read(i / 20, 20 + i / 60, 0.5));
  const hours = byTheHour(fine);
  assert.equal(hours.length, 6);
  near(hours[0]!.celsius, 20 + 9.5 / 60, 1e-9);
  assert.deepEqual(byTheHour([read(0, 20), read(3, 21)]), [read(0, 20), read(3, 21)]);
});

test('over a night on which clocks go back readings stay apart by what really passed', () => {
  const berlin = new Zone('CET');
  const back = Date.parse('2026-10-25T00:30:00Z');
  const c = new Climate(
    loft,
    daysWith([], 'loft', [
      { ms: back, celsius: 18 },
      { ms: back + HOUR, celsius: 16 },
    ]),
    berlin,
  );
  assert.equal(berlin.civil(back).slice(11), '02:30');
  assert.equal(berlin.civil(back + HOUR).slice(11), '02:30', 'the same on the wall');
  near(c.at(back + HOUR / 2), 17, 1e-9);
});

test('a moment is said by its day and its hour on the wall', () => {
  assert.equal(sayDay(noon, utc), 'Wed 25 Nov');
  assert.equal(sayMoment(noon, new Zone('CET')), 'Wed 25 Nov 13:00');
});
