import assert from 'node:assert/strict';
import { test } from 'node:test';
import { Zone } from '#core/air';
import { readBusy, writeCalendar, type BusyReading } from '#core/formats';
import { piece, utc } from '../../factories';
import { asked, HOUR, NOW, planned } from '../calendar/help';

const cet = new Zone('CET');
const file = (...events: string[]): string =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//test//',
    'X-WR-CALNAME:Home',
    ...events.flatMap((e) => ['BEGIN:VEVENT', ...e.trim().split(/\n\s*/), 'END:VEVENT']),
    'END:VCALENDAR',
  ].join('\r\n');
function read(text: string, zone = cet): Extract<BusyReading, { ok: true }> {
  const found = readBusy(text, zone, NOW);
  if (!found.ok) throw new Error(found.says);
  return found;
}
const times = (text: string, zone = cet): string[] =>
  read(text, zone).busy.map((b) => `${new Date(b.from).toISOString().slice(0, 16)} ${(b.until - b.from) / HOUR} h ${b.what}`);

test('an event in UTC, one in a zone of its own, one without a zone, one by its length', () => {
  assert.deepEqual(times(file('UID:a\nSUMMARY:Choir\nDTSTART:20261126T180000Z\nDTEND:20261126T200000Z')), ['2026-11-26T18:00 2 h Choir']);
  assert.deepEqual(times(file('UID:a\nSUMMARY:Call\nDTSTART;TZID=EST5EDT:20261126T180000\nDTEND;TZID=EST5EDT:20261126T190000')), [
    '2026-11-26T23:00 1 h Call',
  ]);
  assert.deepEqual(times(file('UID:a\nDTSTART:20261126T180000\nDURATION:PT90M')), ['2026-11-26T17:00 1.5 h busy']);
});

test('whole days are those of the studio; one that is free, called off or past takes nothing', () => {
  assert.deepEqual(times(file('UID:a\nSUMMARY:Fair\nDTSTART;VALUE=DATE:20261128\nDTEND;VALUE=DATE:20261130')), [
    '2026-11-27T23:00 48 h Fair',
  ]);
  assert.deepEqual(times(file('UID:a\nDTSTART:20261126T180000Z\nDTEND:20261126T200000Z\nSTATUS:CANCELLED')), []);
  assert.deepEqual(times(file('UID:a\nDTSTART:20261126T180000Z\nDTEND:20261126T200000Z\nTRANSP:TRANSPARENT')), []);
  assert.deepEqual(times(file('UID:a\nDTSTART:20261101T180000Z\nDTEND:20261101T200000Z')), []);
});

test('a weekly event goes on over the change of clocks at the same hour, with its exceptions and the day that is moved', () => {
  const weekly =
    'UID:w\nSUMMARY:Class\nDTSTART;TZID=CET:20261007T180000\nDTEND;TZID=CET:20261007T190000\nRRULE:FREQ=WEEKLY\nEXDATE;TZID=CET:20261202T180000';
  const moved =
    'UID:w\nSUMMARY:Class, later\nRECURRENCE-ID;TZID=CET:20261209T180000\nDTSTART;TZID=CET:20261209T200000\nDTEND;TZID=CET:20261209T210000';
  const off =
    'UID:w\nRECURRENCE-ID;TZID=CET:20261216T180000\nDTSTART;TZID=CET:20261216T180000\nDTEND;TZID=CET:20261216T190000\nSTATUS:CANCELLED';
  const all = times(file(weekly, moved, off));
  assert.deepEqual(all.slice(0, 3), ['2026-11-25T17:00 1 h Class', '2026-12-09T19:00 1 h Class, later', '2026-12-23T17:00 1 h Class']);
  // no end: taken for 180 days, and at 18 h in summer too
  assert.ok(all.length > 20 && all.length < 27);
  assert.ok(all.some((t) => t.startsWith('2027-04-07T16:00')));
});

test('a rule that never ends and comes every second holds nothing up', () => {
  const all = read(file('UID:a\nDTSTART:20200101T000000Z\nDTEND:20200101T000001Z\nRRULE:FREQ=SECONDLY'));
  assert.deepEqual(all.busy, []);
});

test('a zone nobody knows is taken as the studio’s, and said; one the file itself explains is as it says', () => {
  const unknown = read(file('UID:a\nDTSTART;TZID=Moon/Tranquility:20261126T180000\nDTEND;TZID=Moon/Tranquility:20261126T190000'));
  assert.equal(new Date(unknown.busy[0]!.from).toISOString(), '2026-11-26T17:00:00.000Z');
  assert.match(unknown.notes[0]!, /No one knows the zone “Moon\/Tranquility”/);
  const own = `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VTIMEZONE\r\nTZID:Studio Time\r\nBEGIN:STANDARD\r\nDTSTART:20200101T000000\r\nTZOFFSETFROM:+0300\r\nTZOFFSETTO:+0300\r\nEND:STANDARD\r\nEND:VTIMEZONE\r\nBEGIN:VEVENT\r\nUID:a\r\nDTSTART;TZID=Studio Time:20261126T180000\r\nDTEND;TZID=Studio Time:20261126T190000\r\nEND:VEVENT\r\nEND:VCALENDAR`;
  assert.deepEqual(times(own), ['2026-11-26T15:00 1 h busy']);
});

test('what is no calendar is a sentence, an event that cannot be read is left out and said, a large file is read', () => {
  const says = (text: string): string => {
    const found = readBusy(text, utc, NOW);
    return found.ok ? 'read' : found.says;
  };
  assert.match(says('hello'), /no calendar file/);
  assert.match(says('{"a":1}'), /no calendar file/);
  assert.match(says('BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nDTSTART:'), /cannot be read|read/);
  const many = Array.from(
    { length: 20_000 },
    (_, i) =>
      `UID:${i}\nSUMMARY:Past ${i}, with a good many words about it so that the file is large\nDTSTART:2019010${1 + (i % 9)}T180000Z\nDTEND:2019010${1 + (i % 9)}T190000Z`,
  );
  const large = file(...many, 'UID:x\nSUMMARY:Now\nDTSTART:20261126T180000Z\nDTEND:20261126T190000Z');
  assert.ok(large.length > 3e6);
  assert.deepEqual(
    read(large).busy.map((b) => b.what),
    ['Now'],
  );
});

test('sessions, windows and promises go out with ids that stay, so that a second file brings the first up to date', () => {
  const p = piece({ dueOn: '2026-12-24', name: 'Panel, “large”' });
  const first = planned(asked([p])).calendar;
  const later = planned(asked([p], { now: NOW + HOUR })).calendar;
  const uids = (text: string): string[] => [...text.matchAll(/^UID:(.*)\r?$/gm)].map((m) => m[1]!.trim());
  const [a, b] = [first, later].map((c) => writeCalendar(c, [p], 15)) as [string, string];
  assert.deepEqual(new Set(uids(a)), new Set(uids(b)));
  assert.equal(new Set(uids(a)).size, uids(a).length);
  const sequence = (text: string): number => Number(/^SEQUENCE:(\d+)/m.exec(text)![1]);
  assert.ok(sequence(b) > sequence(a));
  assert.equal(a, writeCalendar(first, [p], 15), 'the same calendar gives the same file');
  assert.match(a, /BEGIN:VALARM/);
  assert.doesNotMatch(writeCalendar(first, [p], 0), /BEGIN:VALARM/);
  // it opens again as busy times: windows and promises take none
  const busy = read(a, utc).busy;
  assert.equal(busy.length, first.sessions.length);
  assert.equal(busy[0]!.from, first.sessions[0]!.from);
});
