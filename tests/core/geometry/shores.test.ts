import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { boxOf, landOnRight, type Point, type Sea, type Shape, type Side } from '#core/document';
import { mirrored, withBareEdge, withCornerBeach, withIsland, withSide } from '#core/edit';
import { startingSea, startingSeas } from '#core/craft';
import { coatRegions, crossesItself, cutBoard, inlandBand, inside, outlineArea, partOf, smoothRing, type Cut } from '#core/geometry';
import { piece } from '../../factories';
import { near, sum } from '../help';

const panel: Shape = { kind: 'rectangle', width: 400, height: 300 };
const sides: Side[] = ['far', 'near', 'left', 'right'];
const area = (cut: Cut): number => cut.beach.area + sum(cut.sea.map((r) => r.area));
const shapes: Shape[] = [
  panel,
  { kind: 'round', diameter: 300 },
  { kind: 'heart', width: 300, height: 280 },
  { kind: 'surf plank', width: 800, height: 220 },
  { kind: 'plank', width: 500, height: 180, corner: 12, handle: { length: 120, width: 60 } },
  { kind: 'slice', width: 320, height: 280, seed: 5, uneven: 0.08 },
];

test('every starting sea on every side of every shape: the regions add up to the board, and nothing crosses', () => {
  for (const shape of shapes)
    for (const { name } of startingSeas)
      for (const side of sides) {
        const cut = cutBoard(shape, [], startingSea(name, boxOf(shape), 4, side));
        near(area(cut) / outlineArea(shape), 1, 0.001);
        assert.equal(cut.crossed, false, `${name}, ${side}`);
        assert.deepEqual(cut.tangled, []);
        assert.ok(cut.sea.every((r) => r.area > 0));
      }
});

test('the starting seas are different pictures', () => {
  const cuts = new Map(startingSeas.map(({ name }) => [name, cutBoard(panel, [], startingSea(name, [400, 300], 4))]));
  const at = (name: string, x: number, y: number) => partOf({ x, y }, cuts.get(name as 'island')!);
  const spots: [number, number][] = [
    [200, 285],
    [20, 285],
    [380, 285],
    [200, 20],
    [200, 110],
    [200, 190],
  ];
  const pictures = [...cuts.keys()].map((name) => spots.map(([x, y]) => at(name, x, y)).join());
  assert.equal(new Set(pictures).size, startingSeas.length);
  // an island is beach in the middle of the sea, two beaches have sand on both sides
  assert.equal(at('island', 200, 108), 0);
  assert.equal(at('two beaches', 200, 10), 0);
  assert.equal(at('two beaches', 200, 290), 0);
  assert.equal(at('corner cove', 10, 290), 0);
  assert.equal(at('corner cove', 390, 290), 5);
  // a third of the board is sea, and two thirds are
  const share = (name: 'top third' | 'two thirds') => 1 - cuts.get(name)!.beach.area / 120_000;
  assert.ok(Math.abs(share('top third') - 1 / 3) < 0.02 && Math.abs(share('two thirds') - 2 / 3) < 0.02);
});

test('a level shore on any side parts the board as anyone can work out', () => {
  const at = (side: Side, line: Point[]): number => cutBoard(panel, [], { side, shoreline: line, edges: [] }).beach.area;
  const across = (y: number): Point[] => [
    { x: 0, y },
    { x: 400, y },
  ];
  const down = (x: number): Point[] => [
    { x, y: 0 },
    { x, y: 300 },
  ];
  assert.deepEqual(
    [at('far', across(200)), at('near', across(200)), at('left', down(100)), at('right', down(100))],
    [40000, 80000, 90000, 30000],
  );
});

test('an island is cut out of the sea, and its edges out of the tints', () => {
  const square = (r: number): Point[] => [
    { x: 200 - r, y: 100 - r },
    { x: 200 + r, y: 100 - r },
    { x: 200 + r, y: 100 + r },
    { x: 200 - r, y: 100 + r },
  ];
  const shore: Point[] = [
    { x: 0, y: 290 },
    { x: 400, y: 290 },
  ];
  const edge: Point[] = [
    { x: 0, y: 250 },
    { x: 400, y: 250 },
  ];
  const sea: Sea = {
    side: 'far',
    shoreline: shore,
    edges: [edge],
    coasts: [{ id: 'coast-1', closed: true, points: square(30), edges: [square(50)] }],
  };
  const cut = cutBoard(panel, [], sea);
  const [island, fringe] = [square(30), square(50)].map((points) =>
    Math.abs(sum(smoothRing(points).map((p, i, ring) => p.x * ring[(i + 1) % ring.length]!.y - ring[(i + 1) % ring.length]!.x * p.y)) / 2),
  );
  near(cut.beach.area, 4000 + island!, 1);
  near(cut.sea[0]!.area, 16000 + fringe! - island!, 1);
  near(cut.sea[1]!.area, 100000 - fringe!, 1);
});

const anyPoint = fc.record({ x: fc.integer({ min: -20, max: 420 }), y: fc.integer({ min: -20, max: 320 }) });
const anyCurve = fc.uniqueArray(anyPoint, { minLength: 3, maxLength: 7, selector: (p) => `${p.x} ${p.y}` });

test('whatever curves are drawn, crossing themselves, each other, holes and the rim, the regions add up to the cover', () => {
  const sea = fc.record({
    side: fc.constantFrom(...sides),
    shoreline: anyCurve,
    edges: fc.array(anyCurve, { maxLength: 3 }),
    coast: anyCurve,
    closed: fc.boolean(),
    bare: fc.option(anyCurve, { nil: undefined }),
  });
  fc.assert(
    fc.property(fc.constantFrom(...shapes), sea, (shape, { coast, closed, bare, ...s }) => {
      const hole = { x: 150, y: 100, diameter: 20 };
      const cut = cutBoard(shape, [hole], { ...s, coasts: [{ id: 'coast-1', closed, points: coast, edges: [] }], ...(bare && { bare }) });
      near((area(cut) + cut.bare.area) / outlineArea(shape, [hole]), 1, 0.002);
      // a sliver under a square millimetre is no cover, but it adds up too
      near(area(cut), cut.cover.area, 0.002 * Math.max(1, cut.cover.area));
    }),
    { numRuns: 80 },
  );
});

test('a curve that crosses itself is found, one that only bends is not', () => {
  const loop: Point[] = [
    { x: 0, y: 0 },
    { x: 100, y: 0 },
    { x: 50, y: 50 },
    { x: 50, y: -50 },
  ];
  assert.equal(crossesItself(loop), true);
  assert.equal(
    crossesItself([
      { x: 0, y: 0 },
      { x: 100, y: 0 },
      { x: 90, y: 50 },
      { x: 20, y: 40 },
    ]),
    false,
  );
  assert.deepEqual(cutBoard(panel, [], { side: 'far', shoreline: loop.map((p) => ({ x: p.x * 3, y: p.y + 150 })), edges: [] }).tangled, [
    'shoreline',
  ]);
});

test('a coat over half the board, a strip, back from the rim, or off a gap: each by hand', () => {
  const line = (y: number): Point[] => [
    { x: 0, y },
    { x: 400, y },
  ];
  const sea: Sea = { side: 'far', shoreline: line(200), edges: [line(100)] };
  const cut = cutBoard(panel, [], sea);
  const all = (over: Parameters<typeof coatRegions>[3], kept?: Parameters<typeof coatRegions>[4]): number[] => {
    const { beach, sea: parts } = coatRegions(panel, sea, cut, over, kept);
    return [beach.area, ...parts.map((r) => r.area)].map(Math.round);
  };
  assert.deepEqual(all({ kind: 'whole' }), [40000, 40000, 40000]);
  assert.deepEqual(all({ kind: 'deep', share: 0.5 }), [0, 20000, 40000]);
  assert.deepEqual(all({ kind: 'strip', from: 20, to: 50 }), [0, 12000, 0]);
  assert.deepEqual(all({ kind: 'whole' }, { inset: 10 }), [34200, 38000, 34200]);
  assert.deepEqual(all({ kind: 'sea' }, { gap: { along: undefined, width: 20 } }), [0, 36000, 40000]);
});

test('the parts of a coat partition it, whatever part of the board it goes over', () => {
  const overs = fc.oneof(
    fc.constant({ kind: 'sea' as const }),
    fc.record({ kind: fc.constant('deep' as const), share: fc.double({ min: 0.05, max: 1, noNaN: true }) }),
    fc.integer({ min: 0, max: 100 }).map((from) => ({ kind: 'strip' as const, from, to: from + 40 })),
  );
  fc.assert(
    fc.property(fc.constantFrom(...startingSeas), overs, fc.integer({ min: 0, max: 30 }), ({ name }, over, inset) => {
      const sea = startingSea(name, [400, 300], 4);
      const cut = cutBoard(panel, [], sea);
      const regions = coatRegions(panel, sea, cut, over, { inset });
      const parts = [regions.beach, ...regions.sea];
      // no place lies in two of them, and each lies inside its own part of the board
      for (let k = 0; k < 60; k++) {
        const p = { x: (k * 37.3) % 400, y: (k * 53.9) % 300 };
        const own = parts.flatMap((r, i) => (inside(p, r.rings) ? [i] : []));
        assert.ok(own.length <= 1);
        if (own.length) assert.equal(own[0], partOf(p, cut));
      }
      assert.ok(sum(parts.map((r) => r.area)) <= area(cut) * 1.0001);
    }),
    { numRuns: 40 },
  );
});

test('bands of the beach lie inland from the shore', () => {
  const cut = cutBoard(panel, [], {
    side: 'far',
    shoreline: [
      { x: 0, y: 200 },
      { x: 400, y: 200 },
    ],
    edges: [],
  });
  near(inlandBand(cut, 10, 30).area, 8000, 1);
  near(inlandBand(cut, 40).area, 24000, 1);
});

test('a beach on another side keeps its share of a square board; mirrored twice is where it was', () => {
  const square = piece({}, { shape: { kind: 'rectangle', width: 300, height: 300 } });
  const drawn = withCornerBeach(withIsland(square));
  const share = (p: typeof drawn): number => cutBoard(p.shape, [], p.sea).beach.area;
  for (const side of sides) {
    assert.equal(landOnRight(side), side === 'far' || side === 'right');
    near(share(withSide(drawn, side)) / share(drawn), 1, 0.002);
    near(share(mirrored(withSide(drawn, side))) / share(drawn), 1, 0.002);
    assert.deepEqual(mirrored(mirrored(withSide(drawn, side))), withSide(drawn, side));
  }
});

test('beyond the edge of the resin the board stays bare', () => {
  const p = withBareEdge(piece());
  const cut = cutBoard(p.shape, [], p.sea);
  assert.ok(cut.bare.area > 10000);
  near(cut.bare.area + cut.cover.area, 120000, 1);
  near(area(cut), cut.cover.area, 1);
});
