import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { Room } from '#core/document';
import { Zone } from '#core/air';
import { curingOf, stretchesOf, type Film, type Lying } from '#core/schedule';
import { Airs, rate } from '#core/cure';
import { airs, method, resin } from '../../factories';
import { near } from '../help';

const HOUR = 3_600_000;
const start = Date.parse('2026-11-25T10:00:00Z');
const steady: Room = { id: 'r', name: 'r', dayC: 23, nightC: 23, dayHour: 14, nightHour: 4 };
const loft: Room = { ...steady, dayC: 22, nightC: 16 };
const film = (room = steady): Film => ({ mixed: start, resin, room, method });
const lying = (change: Partial<Lying> = {}): Lying => ({
  mixed: start,
  started: start - 300_000,
  done: start + 1_800_000,
  curing: curingOf({ ...film(), mixed: change.mixed ?? start }, airs),
  last: false,
  planned: false,
  ...change,
});

test('in a steady room at the data sheet’s temperature the hours are the data sheet’s', () => {
  const c = curingOf(film(), airs);
  near((c.recoatFrom - start) / HOUR, 6, 1e-6);
  near((c.bondUntil - start) / HOUR, 24, 1e-6);
  near((c.fullCure - start) / HOUR, 72, 1e-6);
});

test('a cool night puts everything off, and local time decides when night is', () => {
  const cool = curingOf(film(loft), airs);
  assert.ok((cool.recoatFrom - start) / HOUR > 6 / rate(22, 23, 55));
  assert.ok((cool.fullCure - start) / HOUR > 72 / rate(20, 23, 55));
  assert.ok((cool.recoatFrom - start) / HOUR < 6 / rate(16, 23, 55));
  assert.notEqual(curingOf(film(loft), new Airs(new Zone('Etc/GMT-10'))).recoatFrom, cool.recoatFrom);
});

test('between coats: pour, tacky, recoat window, scuff first', () => {
  const s = stretchesOf([lying()]);
  assert.deepEqual(
    s.map((x) => x.doing),
    ['pour', 'tacky', 'recoat', 'scuff'],
  );
  assert.ok(s.every((x, i) => i === 0 || x.from === s[i - 1]!.until));
});

test('after the last coat the way leads to full cure', () => {
  assert.deepEqual(
    stretchesOf([lying({ last: true })]).map((x) => x.doing),
    ['pour', 'tacky', 'cure'],
  );
});

test('a later pour cuts off what the earlier one left open', () => {
  const later = lying({ started: start + 10 * HOUR, mixed: start + 10 * HOUR, done: start + 11 * HOUR, last: true });
  const s = stretchesOf([later, lying()]);
  assert.deepEqual(
    s.map((x) => x.doing),
    ['pour', 'tacky', 'recoat', 'pour', 'tacky', 'cure'],
  );
  assert.equal(s[2]!.until, later.started);
});
