import assert from 'node:assert/strict';
import { test } from 'node:test';
import { steady } from '#core/air';
import { partOf } from '#core/geometry';
import { movesOf } from '#core/foam';
import { sectionOf } from '#core/plan';
import { begunWith, likenessKey, likenessOf, passesOf, pushes, seenAt, withRehearsed, type Likeness } from '#core/rehearse';
import { coated } from '../../factories';
import { of, setup, smallBoard, waveOf } from './wave';

const board = smallBoard();
const { planned, wave, scene } = of(board);
const ordinary = likenessOf(planned, wave);
/** How far up the page, where the sea lies, white is seen: the mean over the board's columns, mm. */
function seaward({ nx, ny, dx, cover }: Likeness): number {
  let sum = 0;
  for (let i = 0; i < nx; i++) {
    let j = 0;
    while (j < ny && cover[j * nx + i]! < 60) j++;
    sum += j * dx;
  }
  return sum / nx;
}
/** The same white, rehearsed without any air. */
const still = of({
  ...board,
  coats: board.coats.map((c) => (c.id === wave.id ? withRehearsed(board, wave, begunWith(planned, wave).setup, []) : c)),
});
const unpushed = likenessOf(still.planned, still.wave);

test('every wave has a picture without being rehearsed: foam off its shore, none in the deep or inland, the same each time', () => {
  const { nx, ny, dx, cover } = ordinary;
  assert.deepEqual([nx * dx, ny * dx], [120, 100]);
  const at = (x: number, y: number): number => seenAt(ordinary, x, y);
  const shore = wave.reachSea;
  let near = 0;
  for (let x = 5; x < 115; x += 1) for (let y = 0; y < 100; y += 1) near = Math.max(near, at(x, y));
  assert.ok(near > 0.8, 'white is seen somewhere');
  assert.equal(at(60, 3), 0, 'the deep is clear');
  assert.equal(at(60, 97), 0, 'so is the sand');
  assert.equal(at(-5, 50), 0);
  assert.ok(
    cover.some((c) => c > 40 && c < 200),
    'foam is open in places',
  );
  assert.ok(seaward(ordinary) < seaward(unpushed) - 0.1 * shore, 'it was pushed out to sea');
  assert.deepEqual(likenessOf(planned, wave).cover, cover);
  assert.equal(partOf({ x: 60, y: 97 }, planned.cut), 0);
});

test('a rehearsal that is kept is what is pictured', () => {
  const pass = movesOf(pushes(scene, { tool: 'hot air', speed: 8 }, wave.reachSea));
  const rehearsed = withRehearsed(board, wave, setup({ ml: 2, barrier: 0.3 }), passesOf([...pass, { rest: 60 }, ...pass]));
  const { planned: own, wave: ownWave } = of({ ...board, coats: board.coats.map((c) => (c.id === wave.id ? rehearsed : c)) });
  const pictured = likenessOf(own, ownWave);
  assert.ok(seaward(pictured) < seaward(ordinary) - 1, 'two slow passes go further than the ordinary one');
  assert.notEqual(likenessKey(own, ownWave), likenessKey(planned, wave));
});

test('a picture is kept for as long as nothing it depends on changes', () => {
  const key = (p = board, change = {}): string => {
    const found = of(p, change);
    return likenessKey(found.planned, found.wave);
  };
  const was = key();
  assert.equal(key({ ...board, name: 'Other', dressings: [] }), was);
  assert.equal(key(coated(board, { top: { cover: 1.2 } })), was, 'what comes over it does not change it');
  assert.notEqual(key({ ...board, sea: { ...board.sea, shoreline: board.sea.shoreline.map((p) => ({ ...p, y: p.y + 1 })) } }), was);
  assert.notEqual(key(board, { air: steady(27) }), was);
  for (const change of [{ reachSea: 30 }, { layAt: 30 }, { lines: 1 }, { under: 'none' }, { additive: 'silicone' }] as const)
    assert.notEqual(key(coated(board, { wave: change })), was, JSON.stringify(change));
  const { method } = planned.means;
  assert.notEqual(key(board, { method: { ...method, foam: { grow: 0.03 } } }), was);
  assert.equal(key(board, { method: { ...method, dripPerM: 9 } }), was);
});

test('the strip of a section shows the foam of the picture where it lies, and the sea between', () => {
  const a = { x: 60, y: 0 };
  const b = { x: 60, y: 100 };
  const flat = sectionOf(planned, a, b);
  const seen = sectionOf(planned, a, b, undefined, (id) => (id === wave.id ? (x, y) => seenAt(ordinary, x, y) : undefined));
  const none = sectionOf(planned, a, b, undefined, () => () => 0);
  assert.notDeepEqual(seen.seen, flat.seen);
  const light = (hex: string | undefined): number => (hex ? parseInt(hex.slice(3, 5), 16) : 0);
  const at = (y: number): number => Math.round((y / 100) * (seen.along.length - 1));
  let whitest = 0;
  for (let y = 0; y < 100; y += 0.5) if (seenAt(ordinary, 60, y) > seenAt(ordinary, 60, whitest)) whitest = y;
  assert.ok(light(seen.seen[at(whitest)]) > light(none.seen[at(whitest)]) + 20, 'white where the picture is white');
  assert.equal(seen.seen[at(3)], none.seen[at(3)], 'as the sea where it is not');
  // the layers keep their thickness
  assert.deepEqual(
    seen.layers.map((l) => l.most),
    flat.layers.map((l) => l.most),
  );
  assert.equal(waveOf(board).id, wave.id);
});
