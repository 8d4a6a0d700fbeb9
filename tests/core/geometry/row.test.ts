import assert from 'node:assert/strict';
import { test } from 'node:test';
import { shoreJumps } from '#core/advice';
import type { Piece } from '#core/document';
import { acrossRow, joinsOf, meetingNeighbours, rowOf } from '#core/edit';
import { piece, plan, metric } from '../../factories';
import { near } from '../help';

const one: Piece = { ...piece(), id: 'one', name: 'One' };
const two: Piece = { ...piece(), id: 'two', name: 'Two', beside: { pieceId: 'one', gap: 20 } };
const three: Piece = { ...piece(), id: 'three', name: 'Three', beside: { pieceId: 'two', gap: 20 } };
const all = [three, one, two];

test('a row is read from left to right, wherever it is asked from, and a ring of pieces ends', () => {
  for (const p of all)
    assert.deepEqual(
      rowOf(p, all).map((r) => [r.piece.id, r.at]),
      [
        ['one', 0],
        ['two', 420],
        ['three', 840],
      ],
    );
  const ring = [{ ...one, beside: { pieceId: 'two', gap: 0 } }, two];
  assert.equal(rowOf(two, ring).length, 2);
  assert.deepEqual(rowOf({ ...two, beside: { pieceId: 'gone', gap: 0 } }, []).length, 1);
});

test('the same sea thrice does not run on, and is said; one run across the row does', () => {
  const jumps = joinsOf(two, all);
  assert.ok(jumps.some((j) => Math.abs(j.jump) > 30));
  assert.equal(shoreJumps({ plan: plan(two), write: metric, joins: jumps })[0]!.code, 'shore-jumps');

  const spread = acrossRow(two, all);
  assert.deepEqual(
    spread.map((p) => p.id),
    ['one', 'two', 'three'],
  );
  for (const p of spread) assert.ok(joinsOf(p, spread).every((j) => Math.abs(j.jump) < 2));
  assert.deepEqual(shoreJumps({ plan: plan(two), write: metric, joins: joinsOf(spread[1]!, spread) }), []);
  // a third of the shore on each: the ends of the row are the ends of the sea
  near(spread[0]!.sea.shoreline[0]!.y, two.sea.shoreline[0]!.y);
  near(spread[2]!.sea.shoreline.at(-1)!.y, two.sea.shoreline.at(-1)!.y);
});

test('a piece that is let meet its neighbours bends only its ends', () => {
  const met = meetingNeighbours(two, all);
  assert.deepEqual(met.sea.shoreline.slice(1, -1), two.sea.shoreline.slice(1, -1));
  const before = Math.max(...joinsOf(two, all).map((j) => Math.abs(j.jump)));
  const after = Math.max(...joinsOf(met, [one, met, three]).map((j) => Math.abs(j.jump)));
  assert.ok(after < before / 2, `${after} of ${before}`);
  assert.deepEqual(acrossRow(one, [one]), []);
});
