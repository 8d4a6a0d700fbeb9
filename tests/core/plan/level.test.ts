import assert from 'node:assert/strict';
import { test } from 'node:test';
import { lineArea } from '#core/mix';
import { creepOf, driftOf, tiltFor, wetOf } from '#core/plan';
import type { Piece } from '#core/document';
import { coated, coat, piece, plan } from '../../factories';
import { near } from '../help';

const stands = { feet: 4, inset: 30, along: 0.1, across: 0 };
const of = (p: Piece, own = stands) => driftOf(plan(p), plan(p).pours[0]!, own)!;

test('what runs is the sea under the wave; a beach stands by its grains', () => {
  const wet = wetOf(plan(piece()), plan(piece()).pours[0]!)!;
  assert.equal(wet.coat.kind, 'wave');
  near(wet.film, 2, 1e-9);
  const beach = { ...piece(), coats: piece().coats.filter((c) => c.kind === 'sand') };
  assert.equal(wetOf(plan(beach), plan(beach).pours[0]!), undefined);
});

test('a thicker film and a steeper board run further; laid later, less; between walls less than on an open board', () => {
  const base = of(piece());
  assert.ok(of(coated(piece(), { sea: { film: 3 } })).drift.middle > base.drift.middle);
  assert.ok(of(piece(), { ...stands, along: 0.2 }).drift.middle > 1.9 * base.drift.middle);
  assert.ok(of(coated(piece(), { wave: { layAt: 45 } })).drift.middle < base.drift.middle);
  assert.ok(of({ ...piece(), edge: 'taped' }).drift.middle < base.drift.middle);
  assert.ok(base.drift.from < base.drift.middle && base.drift.middle < base.drift.until);
});

test('up the beach or out to sea, by the side on which the sea lies', () => {
  const down = { ...stands, along: 0, across: 0.2 };
  for (const [side, sign] of [
    ['far', 1],
    ['near', -1],
  ] as const)
    assert.equal(Math.sign(of({ ...piece(), sea: { ...piece().sea, side } }, down).inland), sign);
  near(of(piece(), down).inland, of(piece(), down).drift.middle, 1e-6);
  near(Math.abs(of(piece(), { ...stands, along: 0.2, across: 0 }).inland), 0, 1e-6);
});

test('level as it has to be, it moves by what is allowed and no more', () => {
  const { allowedTilt, allowed } = of(piece());
  near(of(piece(), { ...stands, along: allowedTilt }).drift.middle, allowed, 0.01);
});

test('a line creeps further on wet ground than on dry, and a fatter one further', () => {
  const { wet } = of(piece());
  const thin = creepOf(wet, { width: 6, area: lineArea(6, 1.5) });
  const fat = creepOf(wet, { width: 6, area: lineArea(6, 4) });
  assert.ok(thin.wet > thin.dry && fat.wet > thin.wet && fat.dry > thin.dry);
});

test('tilted on purpose: seconds there, as many back and some more; further takes longer, steeper less', () => {
  const { wet } = of(piece());
  const way = tiltFor(wet, 20, 5);
  assert.ok(way.there > 1 && way.back >= way.there);
  assert.ok(tiltFor(wet, 40, 5).there > way.there && tiltFor(wet, 20, 10).there < way.there);
  assert.equal(tiltFor(wet, 500, 0.2).there, Infinity);
});

test('every pour that is mixed can be read for its level, of any kind of coat', () => {
  for (const kind of ['base', 'clear', 'glaze', 'seal'] as const) {
    const p = { ...piece(), coats: [coat(kind)] };
    const drift = of(p);
    assert.ok(drift.drift.middle > 0, kind);
  }
});
