import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { Climate, roomAt, Zone } from '#core/air';
import type { Room } from '#core/document';
import { near } from '../help';

const loft: Room = { id: 'r', name: 'r', dayC: 22, nightC: 16, dayHour: 14, nightHour: 4 };

test('a room is warm at its day hour, cool at its night hour, and straight between', () => {
  assert.equal(roomAt(loft, 14 * 60), 22);
  assert.equal(roomAt(loft, 4 * 60), 16);
  near(roomAt(loft, 21 * 60), 19, 1e-9);
  near(roomAt(loft, 9 * 60), 19, 1e-9);
  near(roomAt(loft, 9 * 60 + 5 * 1440), roomAt(loft, 9 * 60), 1e-9);
  near(roomAt(loft, 9 * 60 - 3 * 1440), roomAt(loft, 9 * 60), 1e-9);
  assert.equal(roomAt({ ...loft, nightHour: 14 }, 100), 19);
});

test('a room never leaves its two readings', () => {
  fc.assert(fc.property(fc.integer({ min: -1e6, max: 1e6 }), (m) => roomAt(loft, m) >= 16 && roomAt(loft, m) <= 22));
});

const central = new Zone('CET');
const at = (iso: string): number => Date.parse(iso);

test('a night on which clocks change is 23 or 25 hours long, and the room is coldest at its hour on the wall', () => {
  for (const [midnight, hours] of [
    ['2026-03-28T23:00:00Z', 23],
    ['2026-10-24T22:00:00Z', 25],
    ['2026-10-25T23:00:00Z', 24],
  ] as const) {
    assert.equal(central.dayStart(at(midnight)), at(midnight));
    near((central.dayStart(at(midnight), 1) - at(midnight)) / 3_600_000, hours);
    const air = new Climate(loft, [], central).from(at(midnight));
    // four on the wall, the morning after a change or not
    near(air((central.momentOf(`${central.dayOf(at(midnight))}T04:00`) - at(midnight)) / 60_000), 16, 1e-9);
  }
  // the same hours of a night that does not change are off by one on one that does
  near(new Climate(loft, [], central).from(at('2026-10-24T22:00:00Z'))(4 * 60), 16 + 6 / 14, 1e-9);
});

test('each day is named once over the nights the clocks change', () => {
  const days = (iso: string): string => Array.from({ length: 5 }, (_, i) => central.dayOf(central.dayStart(at(iso), i)).slice(8)).join(' ');
  assert.equal(days('2026-10-23T12:00:00Z'), '23 24 25 26 27');
  assert.equal(days('2026-03-27T12:00:00Z'), '27 28 29 30 31');
});

test('today is the studio’s day: half past eleven in the evening west of UTC is tomorrow there', () => {
  const late = at('2026-11-26T04:30:00Z');
  assert.equal(new Zone('EST5EDT').dayOf(late), '2026-11-25');
  assert.equal(new Zone('UTC').dayOf(late), '2026-11-26');
});

test('a moment and what the clock on the wall shows are one another, in any zone and season', () => {
  const zones = ['CET', 'EST5EDT', 'NZ-CHAT', 'Etc/GMT-10', 'UTC'].map((name) => new Zone(name));
  fc.assert(
    fc.property(fc.constantFrom(...zones), fc.integer({ min: 0, max: 3_000_000 }), (zone, hours) => {
      const ms = hours * 3_600_000;
      const back = zone.momentOf(zone.civil(ms));
      // an hour that comes twice is taken as the first of the two
      assert.ok(back === ms || (back < ms && zone.civil(back) === zone.civil(ms)), `${zone.name} ${zone.civil(ms)}`);
      near(zone.localMinute(ms), ms / 60_000 + zone.offsetAt(ms), 1e-9);
      assert.equal(zone.offsetAt(ms), new Zone(zone.name).offsetAt(ms), 'whatever was asked before');
    }),
  );
});

test('a zone that is none is refused with what would be right', () => {
  assert.throws(() => new Zone('Atlantis/Harbour'), /Atlantis\/Harbour.*CET/);
});
