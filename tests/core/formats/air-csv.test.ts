import assert from 'node:assert/strict';
import { test } from 'node:test';
import { readAirCsv, writeAirCsv, type AirFile } from '#core/formats';
import { Zone } from '#core/air';
import { utc } from '../../factories';
import { near } from '../help';

const HOUR = 3_600_000;
const central = new Zone('CET');

function good(text: string, zone = utc, monthFirst = false): AirFile {
  const read = readAirCsv(text, zone, monthFirst);
  if (!read.ok) throw new Error(read.says);
  return read.file;
}
const says = (text: string): string => {
  const read = readAirCsv(text, utc);
  return read.ok ? '' : read.says;
};
const shown = (file: AirFile): string[] => file.readings.map((r) => `${new Date(r.ms).toISOString().slice(0, 16)} ${r.celsius.toFixed(1)}`);

test('a logger’s file as loggers write them: days either way round, times in a column of their own, halves of the day', () => {
  const expected = ['2026-11-13T14:00 21.5', '2026-11-13T15:00 20.0'];
  for (const text of [
    'time,temperature °C\n2026-11-13T14:00:00Z,21.5\n2026-11-13T15:00:00Z,20\n',
    'Date;Temp (°C)\n13.11.2026 14:00;21,5\n13.11.2026 15:00;20,0\n',
    'Date\tTime\tTemperature\n2026/11/13\t14:00:30\t21.5\n2026/11/13\t15:00:30\t20\n',
    'No,Date,Temp\n1,11/13/2026 2:00 PM,21.5\n2,11/13/2026 3:00 PM,20\n',
    '2026-11-13 14:00,21.5 C\n2026-11-13 15:00,20 C\n',
    '#,Timestamp,Fahrenheit\n1,2026-11-13 16:00 +02:00,70.7\n2,2026-11-13 17:00 +0200,68\n',
  ])
    assert.deepEqual(shown(good(text)), expected, text);
});

test('a hundred thousand lines in °F with a decimal comma come in by the hour', () => {
  const start = Date.parse('2026-01-01T00:00:00Z');
  const line = (i: number): string => {
    const [day, time] = new Date(start + i * 300_000).toISOString().slice(0, 16).split('T');
    return `${day} ${time};${(68 + 4 * Math.sin(i / 40)).toFixed(2).replace('.', ',')};${50 + (i % 7)}`;
  };
  const text = `Time;Temperature(°F);Humidity %RH\n${Array.from({ length: 100_000 }, (_, i) => line(i)).join('\n')}\n`;
  const file = good(text);
  assert.deepEqual([file.lines, file.unit, file.skipped, file.gaps], [100_000, '°F', [], []]);
  assert.equal(file.readings.length, Math.ceil(100_000 / 12));
  const mean = file.readings.reduce((sum, r) => sum + r.celsius, 0) / file.readings.length;
  near(mean, 20, 0.05);
  assert.ok(file.readings.every((r) => r.humidity! >= 0.5 && r.humidity! <= 0.56));
});

test('a file without a unit is in °F where it is too warm for °C', () => {
  assert.equal(good('time,t\n2026-11-13 14:00,71\n2026-11-13 15:00,69\n').unit, '°F');
  assert.equal(good('time,t\n2026-11-13 14:00,21\n2026-11-13 15:00,19\n').unit, '°C');
});

test('a day both ways possible is read as the studio writes it, unless another line shows it', () => {
  const text = 'time,t\n04/05/2026 10:00,20\n';
  assert.match(shown(good(text))[0]!, /^2026-05-04/);
  assert.match(shown(good(text, utc, true))[0]!, /^2026-04-05/);
  assert.match(shown(good(`${text}04/25/2026 10:00,20\n`))[0]!, /^2026-04-05/);
});

test('clocks that go back: the hour that comes twice is read twice; those that go forward leave no gap', () => {
  const hours = (list: string[]): number[] => {
    const { readings } = good(`time,temp\n${list.map((at) => `${at},20`).join('\n')}\n`, central);
    return readings.slice(1).map((r, i) => (r.ms - readings[i]!.ms) / HOUR);
  };
  assert.deepEqual(hours(['2026-10-25 01:00', '2026-10-25 02:00', '2026-10-25 02:00', '2026-10-25 03:00']), [1, 1, 1]);
  assert.deepEqual(hours(['2026-03-29 01:00', '2026-03-29 03:00', '2026-03-29 04:00']), [1, 1]);
});

test('gaps are told, and what holds no reading is left out with its line', () => {
  const file = good(
    'time,temp,rh\n2026-11-13 14:00,20,140\n2026-11-13 15:00,--,55\nsoon,20,55\n2026-11-14 09:00,999,55\n2026-11-14 10:00,18,55\n',
  );
  assert.equal(file.readings.length, 2);
  assert.equal(file.readings[0]!.humidity, undefined, '140 % is none');
  assert.equal(file.gaps.length, 1);
  assert.deepEqual(file.skipped, [
    'Line 3 holds no temperature.',
    'Line 4 holds no day and time.',
    'Line 5 holds a temperature outside -30 to 70 °C.',
  ]);
});

test('a file that is none says what would be right', () => {
  assert.match(says(''), /no readings/);
  assert.match(says('a,b\n1,2\n'), /No column holds a day and a time.*2026-11-25 14:30/);
  assert.match(says('time,note\n2026-11-25 14:30,warm\n'), /No column holds a temperature/);
  assert.match(says('time,temp\n2026-11-25 14:30,400\n'), /No line holds a reading\. Line 2/);
});

test('readings go out as CSV and come back the same', () => {
  const file = good('time,temp °C,rh\n2026-11-13 14:00,-3.25,55\n2026-11-13 20:00,55,\n');
  assert.deepEqual(good(writeAirCsv(file.readings)).readings, file.readings);
});
