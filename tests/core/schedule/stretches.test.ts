import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import type { Room } from '#core/document';
import { curingOf, roomAt, stretchesOf, type Laid } from '#core/schedule';
import { rate } from '#core/cure';
import { method, near, resin } from '../help';

const HOUR = 3_600_000;
const start = Date.parse('2026-11-25T10:00:00Z');
const steady: Room = { id: 'r', name: 'r', dayC: 23, nightC: 23, dayHour: 14, nightHour: 4 };
const loft: Room = { ...steady, dayC: 22, nightC: 16 };
const laid = (change: Partial<Laid> = {}): Laid => ({
  mixed: start,
  started: start - 300_000,
  done: start + 1_800_000,
  resin,
  room: steady,
  method,
  last: false,
  planned: false,
  ...change,
});

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

test('in a steady room at the data sheet’s temperature the hours are the data sheet’s', () => {
  const c = curingOf(laid(), 0);
  near((c.recoatFrom - start) / HOUR, 6, 1e-6);
  near((c.bondUntil - start) / HOUR, 24, 1e-6);
  near((c.fullCure - start) / HOUR, 72, 1e-6);
});

test('a cool night puts everything off, and local time decides when night is', () => {
  const cool = curingOf(laid({ room: loft }), 0);
  assert.ok((cool.recoatFrom - start) / HOUR > 6 / rate(22, 23, 55));
  assert.ok((cool.fullCure - start) / HOUR > 72 / rate(20, 23, 55));
  assert.ok((cool.recoatFrom - start) / HOUR < 6 / rate(16, 23, 55));
  assert.notEqual(curingOf(laid({ room: loft }), 600).recoatFrom, cool.recoatFrom);
});

test('between coats: pour, tacky, recoat window, scuff first', () => {
  const s = stretchesOf([laid()], 0);
  assert.deepEqual(
    s.map((x) => x.doing),
    ['pour', 'tacky', 'recoat', 'scuff'],
  );
  assert.ok(s.every((x, i) => i === 0 || x.from === s[i - 1]!.until));
});

test('after the last coat the way leads to full cure', () => {
  assert.deepEqual(
    stretchesOf([laid({ last: true })], 0).map((x) => x.doing),
    ['pour', 'tacky', 'cure'],
  );
});

test('a later pour cuts off what the earlier one left open', () => {
  const later = laid({ started: start + 10 * HOUR, mixed: start + 10 * HOUR, done: start + 11 * HOUR, last: true });
  const s = stretchesOf([later, laid()], 0);
  assert.deepEqual(
    s.map((x) => x.doing),
    ['pour', 'tacky', 'recoat', 'pour', 'tacky', 'cure'],
  );
  assert.equal(s[2]!.until, later.started);
});
