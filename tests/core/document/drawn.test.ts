import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { linesOf, openStudio, writeStudio, type DressingKind, type Piece, type Side, type WaveCoat } from '#core/document';
import {
  mirrored,
  withBareEdge,
  withBreaker,
  withCoat,
  withCornerBeach,
  withDrawnSea,
  withDressing,
  withDressingChanged,
  withIsland,
  withLandSwapped,
  withoutDressing,
  withoutLine,
  withParts,
  withSea,
  withSeaOf,
  withSide,
} from '#core/edit';
import { startingSea, startingSeas } from '#core/craft';
import { cutBoard } from '#core/geometry';
import { piece, sample, the } from '../../factories';
import { near, sum } from '../help';

const cut = (p: Piece) => cutBoard(p.shape, p.holes, p.sea);
const hasLine = (p: Piece, key: string): boolean => linesOf(p.sea).some((line) => line.key === key);
const beach = (p: Piece): number => cut(p).beach.area;

test('an island and a second beach take their land from the sea, and give it back', () => {
  const p = piece();
  const island = withIsland(p);
  assert.ok(beach(island) > beach(p) + 500);
  near(beach(island) + sum(cut(island).sea.map((s) => s.area)), 120000, 1);
  const both = withCornerBeach(island);
  assert.ok(beach(both) > beach(island) + 500);
  assert.deepEqual(
    both.sea.coasts!.map((c) => [c.id, c.closed]),
    [
      ['coast-1', true],
      ['coast-2', false],
    ],
  );
  near(beach(withoutLine(withoutLine(both, 'coast:coast-2'), 'coast:coast-1')), beach(p), 1e-6);
  assert.deepEqual(withoutLine(p, 'shoreline'), p, 'the shoreline is not taken off');
});

test('a second beach lies in its corner whatever side the sea is on, and its land can be on the other hand', () => {
  for (const side of ['far', 'near', 'left', 'right'] as Side[]) {
    const p = withSide(piece(), side);
    const corner = withCornerBeach(p);
    assert.ok(beach(corner) - beach(p) > 0.005 * 120000, `${side}: ${beach(corner) - beach(p)}`);
    assert.ok(beach(corner) - beach(p) < 0.12 * 120000, `${side}: ${beach(corner) - beach(p)}`);
    const swapped = withLandSwapped(corner, 'coast-1');
    assert.ok(beach(swapped) > beach(corner), side);
    assert.deepEqual(withLandSwapped(swapped, 'coast-1').sea, corner.sea);
  }
  const island = withIsland(piece());
  assert.deepEqual(withLandSwapped(island, 'coast-1'), island, 'an island has no other hand');
});

test('a wave at sea runs half way to the deep; where its line goes, the wave comes back to the shore', () => {
  const drawn = withBreaker(withBreaker(piece()));
  assert.deepEqual(
    drawn.sea.breakers!.map((b) => [b.id, b.name]),
    [
      ['breaker-1', 'breaker 1'],
      ['breaker-2', 'breaker 2'],
    ],
  );
  near(drawn.sea.breakers![0]!.points[0]!.y, drawn.sea.shoreline[0]!.y / 2, 0.1);
  const along = withCoat(drawn, the(drawn, 'wave').id, (c) => ({ ...(c as WaveCoat), along: 'breaker-2' }));
  assert.equal(the(withoutLine(along, 'breaker:breaker-1'), 'wave').along, 'breaker-2');
  assert.equal(the(withoutLine(along, 'breaker:breaker-2'), 'wave').along, undefined);
  assert.equal(the(withSea(along, startingSea('island', [400, 300], 4, 'far')), 'wave').along, undefined, 'a sea without it');
});

test('beyond the edge of the resin nothing is covered, and every curve that was added has its key', () => {
  const p = withBareEdge(withBreaker(withIsland(piece())));
  assert.ok(cut(p).bare.area > 10000);
  near(cut(p).bare.area + cut(p).cover.area, 120000, 1);
  for (const key of ['shoreline', 'edge:0', 'coast:coast-1', 'coast:coast-1:0', 'breaker:breaker-1', 'bare'])
    assert.ok(hasLine(p, key), key);
  assert.equal(hasLine(withoutLine(p, 'bare'), 'bare'), false);
  assert.equal(linesOf(p.sea).length, 1 + 4 + 1 + 4 + 1 + 1);
});

test('a sea parted anew keeps its ends: the first and the last tint, the shore and what lay furthest', () => {
  const p = piece();
  const [first, last] = [the(p, 'sea').tints[0]!, the(p, 'sea').tints.at(-1)!];
  for (const n of [2, 3, 4, 6, 7, 8]) {
    const parted = withParts(p, n);
    assert.equal(parted.sea.edges.length, n - 1);
    assert.equal(the(parted, 'sea').tints.length, n);
    assert.deepEqual(the(parted, 'sea').tints[0], first);
    assert.deepEqual(the(parted, 'sea').tints.at(-1), last);
    assert.deepEqual(parted.sea.shoreline, p.sea.shoreline);
    if (n > 2) assert.deepEqual(parted.sea.edges.at(-1), p.sea.edges.at(-1));
    assert.equal(cut(parted).crossed, false, `${n}`);
    const loads = the(parted, 'sea').tints.map((t) => sum(t.recipe.map((r) => r.load)));
    assert.ok(
      loads.every((load, i) => i === 0 || load <= loads[i - 1]! + 1e-9),
      `paler and paler: ${loads}`,
    );
  }
  const one = withParts(p, 1);
  assert.deepEqual([one.sea.edges.length, the(one, 'sea').tints.length], [0, 1]);
  assert.equal(withParts(one, 4).sea.edges.length, 3, 'and parted again from one');
});

test('the sea of another piece is stretched to the board and parted for its tints; one from a drawing is taken as it is', () => {
  const studio = sample();
  const [tray, rail] = ['Ferry tray', 'Jetty rail'].map((name) => studio.pieces.find((p) => p.name === name)!);
  const p = piece();
  const copied = withSeaOf(p, tray!);
  assert.equal(copied.sea.edges.length, p.sea.edges.length);
  near(copied.sea.shoreline.at(-1)!.x, 400, 0.1);
  near(beach(copied) / 120000, beach(tray!) / (Math.PI * 210 * 140), 0.06);
  const drawn = withDrawnSea(p, rail!.sea);
  assert.deepEqual(drawn.sea, rail!.sea);
  assert.equal(the(drawn, 'sea').tints.length, rail!.sea.edges.length + 1);
});

test('dressings are set apart from each other, changed and taken off by their id', () => {
  const kinds: DressingKind[] = ['shell', 'stone', 'crystal', 'glass', 'creature', 'shell'];
  const p = kinds.reduce<Piece>((q, kind) => withDressing(q, kind), piece());
  const all = p.dressings!;
  assert.deepEqual(
    all.map((d) => d.id),
    ['shell-1', 'stone-1', 'crystal-1', 'glass-1', 'creature-1', 'shell-2'],
  );
  assert.equal(new Set(all.map((d) => `${d.x} ${d.y}`)).size, kinds.length);
  assert.deepEqual(withDressing(piece(), 'stone', { x: 12.34, y: 56.78 }).dressings![0]!.x, 12.3);
  const changed = withDressingChanged(p, 'stone-1', { size: 40 });
  assert.deepEqual(
    changed.dressings!.map((d) => d.size === 40),
    [false, true, false, false, false, false],
  );
  assert.equal(withoutDressing(changed, 'shell-1').dressings!.length, 5);
});

test('whatever is drawn, one thing after another, the file that is written opens again', () => {
  const changes: [string, (p: Piece) => Piece][] = [
    ['island', withIsland],
    ['beach', withCornerBeach],
    ['breaker', withBreaker],
    ['bare', withBareEdge],
    ['mirror', mirrored],
    ['swap', (p) => withLandSwapped(p, 'coast-2')],
    ['shell', (p) => withDressing(p, 'shell')],
    ['three', (p) => withParts(p, 3)],
    ['eight', (p) => withParts(p, 8)],
    ['left', (p) => withSide(p, 'left')],
    ['near', (p) => withSide(p, 'near')],
    ['no coast', (p) => withoutLine(p, 'coast:coast-1')],
    ...startingSeas.map(({ name }): [string, (p: Piece) => Piece] => [
      name,
      (p) => withSea(p, startingSea(name, [400, 300], p.sea.edges.length, p.sea.side)),
    ]),
  ];
  const studio = sample();
  const start = studio.pieces.find((p) => p.id === 'kelp-cove-1')!;
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...changes), { minLength: 1, maxLength: 7 }), (steps) => {
      const drawn = steps.reduce((p, [, change]) => change(p), start);
      const opened = openStudio(writeStudio({ ...studio, pieces: studio.pieces.map((p) => (p === start ? drawn : p)) }));
      assert.ok(opened.ok, `${steps.map(([name]) => name).join(', ')}: ${opened.ok ? '' : JSON.stringify(opened.problems[0])}`);
      const { cover, beach: land, sea: parts } = cut(drawn);
      near((land.area + sum(parts.map((r) => r.area))) / cover.area, 1, 1e-3);
    }),
    { numRuns: 40 },
  );
});
