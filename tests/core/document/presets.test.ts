import assert from 'node:assert/strict';
import { test } from 'node:test';
import { hasBeach, startingSeas } from '#core/craft';
import type { Shape } from '#core/document';
import { seaMisfit, startingBoard, startingPiece, withBeach, withStartingSea } from '#core/edit';
import { empty, piece, plan, resin, the } from '../../factories';

const plank: Shape = { kind: 'plank', width: 400, height: 200, handle: { length: 110, width: 50 } };

test('no beach takes the coat of the beach off and lays the wave on a line; a beach brings both back', () => {
  const p = piece();
  const open = withStartingSea(p, 'open sea', empty);
  assert.ok(!open.coats.some((c) => c.kind === 'sand'));
  assert.ok(open.sea.breakers?.some((b) => b.id === the(open, 'wave').along));
  assert.equal(plan(open).pours.length, plan(p).pours.length);
  const back = withStartingSea(open, 'two thirds', empty);
  assert.deepEqual(
    back.coats.map((c) => [c.kind, c.samePour]),
    p.coats.map((c) => [c.kind, c.samePour]),
  );
  assert.equal(the(back, 'wave').along, undefined);
});

test('a beach that is bare by choice stays bare through another preset', () => {
  const bare = withBeach(piece(), the(piece(), 'sand').id, 'bare', empty.colourants);
  assert.ok(!withStartingSea(bare, 'top third', empty).coats.some((c) => c.kind === 'sand'));
});

test('every starting sea is poured on every shape it fits, and one that does not fit says why', () => {
  for (const { name } of startingSeas)
    for (const shape of [piece().shape, plank, { kind: 'round', diameter: 300 } as Shape]) {
      assert.equal(seaMisfit(name, { shape, holes: [] }, 5), undefined, `${name} on a ${shape.kind}`);
      const p = plan(startingPiece('p', { ...startingBoard(resin.id), name: 'P', shape }, empty, name));
      assert.equal(p.cut.beach.area > 1, hasBeach(name), `${name} on a ${shape.kind}: ${p.cut.beach.area} mm²`);
    }
  const heart: Shape = { kind: 'heart', width: 300, height: 280 };
  assert.match(seaMisfit('top third', { shape: heart, holes: [] }, 5, 'near')!, /one of its parts has no room/);
});

test('the deepest tint stays out of the handle of a plank', () => {
  for (const { name } of startingSeas) {
    const made = startingPiece('p', { ...startingBoard(resin.id), name: 'P', shape: plank }, empty, name);
    for (const p of [made, withStartingSea({ ...made, sea: { ...made.sea, side: 'right' } }, name, empty)]) {
      const deepest = plan(p).cut.sea.at(-1)!;
      const inHandle = deepest.rings.flat().filter((q) => q.x > 400 - 105 && Math.abs(q.y - 100) < 24);
      assert.deepEqual(inHandle, [], `${name}, the deep at ${p.sea.side}`);
    }
  }
});
