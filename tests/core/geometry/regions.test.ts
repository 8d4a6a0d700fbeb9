import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import type { Point, Sea, Shape } from '#core/document';
import { cutBoard, foamStrip, lineLength, middleOf, outlineArea, partition, rimLength, smoothCurve, type Cut } from '#core/geometry';
import { near, sum } from '../help';

const panel: Shape = { kind: 'rectangle', width: 400, height: 300 };
const level = (...heights: number[]): Sea => {
  const line = (y: number): Point[] => [
    { x: 0, y },
    { x: 200, y },
    { x: 400, y },
  ];
  return { side: 'far', shoreline: line(heights[0]!), edges: heights.slice(1).map(line) };
};
const area = (cut: Cut): number => cut.beach.area + sum(cut.sea.map((r) => r.area));
const rim = (cut: Cut): number => cut.beach.rim + sum(cut.sea.map((r) => r.rim));

test('level curves cut a panel into strips of the areas and rims anyone can work out', () => {
  const cut = cutBoard(panel, [], level(200, 150, 80));
  assert.deepEqual([cut.beach.area, ...cut.sea.map((r) => r.area)], [40000, 20000, 28000, 32000]);
  assert.deepEqual([cut.beach.rim, ...cut.sea.map((r) => r.rim)], [600, 100, 140, 560]);
  near(cut.shoreLength, 400, 1e-6);
  assert.equal(cut.crossed, false);
});

test('a sea along the near edge is cut the other way up', () => {
  const cut = cutBoard(panel, [], { ...level(100, 220), side: 'near' });
  assert.deepEqual([cut.beach.area, ...cut.sea.map((r) => r.area)], [40000, 48000, 32000]);
});

test('a hole takes its area from the part it lies in and leaves the rim alone', () => {
  const cut = cutBoard(panel, [{ x: 50, y: 250, diameter: 20 }], level(200, 100));
  near(cut.beach.area, 40000 - Math.PI * 100, 0.01);
  assert.equal(cut.sea[0]!.area, 40000);
  assert.equal(cut.beach.rim, 600);
});

/** Off the rim, tenths of a mm: a curve that runs along it leaves slivers of some µm, whose two sides are both told for rim. */
const offRim = (y: number): number => (Math.abs(y) < 10 ? -10 : Math.abs(y - 3000) < 10 ? 3010 : y);

/** A curve as the document keeps it, in tenths of a mm, on and off the board. */
const wavy = (points: number): fc.Arbitrary<Point[]> =>
  fc
    .array(fc.integer({ min: -400, max: 3400 }), { minLength: points, maxLength: points })
    .map((tenths) => tenths.map((y, i) => ({ x: (400 * i) / (points - 1), y: offRim(y) / 10 })));
const seas: fc.Arbitrary<Sea> = fc.record({
  side: fc.constantFrom('far' as const, 'near' as const),
  shoreline: wavy(5),
  edges: fc.array(wavy(5), { maxLength: 6 }),
});
const shapes: fc.Arbitrary<Shape> = fc.oneof(
  fc.constant(panel),
  fc.integer({ min: 60, max: 500 }).map((diameter) => ({ kind: 'round' as const, diameter })),
  fc.constant<Shape>({ kind: 'oval', width: 420, height: 280 }),
);

/** What is lost or told twice of a rim where a curve meets it at a flat angle, mm: more than a thousandth of a coaster's. */
const FLAT = 0.5;

test('whatever the curves do, beach and sea add up to the board within 0.1 %, and their rims to its rim', () => {
  fc.assert(
    fc.property(shapes, seas, (shape, sea) => {
      const cut = cutBoard(shape, [], sea);
      near(area(cut) / outlineArea(shape), 1, 0.001);
      near(rim(cut), rimLength(shape), Math.max(0.001 * rimLength(shape), FLAT));
      assert.equal(cut.sea.length, sea.edges.length + 1);
    }),
    { numRuns: 60 },
  );
});

test('a rim met at a flat angle keeps its length though the clipper rounds', () => {
  const oval: Shape = { kind: 'oval', width: 420, height: 280 };
  const line = (...ys: number[]): Point[] => ys.map((y, i) => ({ x: 100 * i, y }));
  const cut = cutBoard(oval, [], { side: 'near', shoreline: line(0, 0, 0, 0, 239.3), edges: [line(0, 0, 48, 38, 241.5)] });
  near(rim(cut) / rimLength(oval), 1, 0.001);
});

test('a board drawn k times as large has k² the areas and k the lengths', () => {
  const sea: Sea = {
    side: 'far',
    shoreline: [
      { x: 0, y: 212 },
      { x: 150, y: 190 },
      { x: 300, y: 163 },
      { x: 400, y: 168 },
    ],
    edges: [
      [
        { x: 0, y: 110 },
        { x: 400, y: 80 },
      ],
    ],
  };
  fc.assert(
    fc.property(fc.double({ min: 0.3, max: 4, noNaN: true }), (k) => {
      const grown = (points: Point[]): Point[] => points.map((p) => ({ x: p.x * k, y: p.y * k }));
      const [one, many] = [
        cutBoard(panel, [], sea),
        cutBoard({ kind: 'rectangle', width: 400 * k, height: 300 * k }, [], {
          side: 'far',
          shoreline: grown(sea.shoreline),
          edges: sea.edges.map(grown),
        }),
      ];
      near(many.beach.area / one.beach.area / (k * k), 1, 1e-4);
      near(many.sea[1]!.area / one.sea[1]!.area / (k * k), 1, 1e-4);
      near(many.shoreLength / one.shoreLength / k, 1, 1e-4);
    }),
    { numRuns: 20 },
  );
});

test('an edge drawn on the land side of its neighbour is noticed', () => {
  assert.equal(cutBoard(panel, [], level(150, 200)).crossed, true);
  assert.equal(cutBoard(panel, [], { ...level(150, 200), side: 'near' }).crossed, false);
});

test('a shoreline off the board leaves no beach, or no sea', () => {
  assert.equal(cutBoard(panel, [], level(320)).beach.area, 0);
  assert.equal(cutBoard(panel, [], level(-20)).sea[0]!.area, 0);
  assert.equal(cutBoard(panel, [], level(-20)).shoreLength, 0);
});

test('a smooth curve goes through its points, and through straight ones straight', () => {
  const points = [
    { x: 0, y: 10 },
    { x: 100, y: 60 },
    { x: 180, y: 20 },
    { x: 400, y: 90 },
  ];
  const line = smoothCurve(points, 8);
  for (const [i, p] of points.entries()) near(Math.hypot(line[8 * i]!.x - p.x, line[8 * i]!.y - p.y), 0, 1e-9);
  near(
    lineLength(
      smoothCurve([
        { x: 0, y: 0 },
        { x: 30, y: 40 },
        { x: 60, y: 80 },
      ]),
    ),
    100,
    1e-9,
  );
  assert.throws(() => smoothCurve([{ x: 0, y: 0 }]), RangeError);
});

test('foam lies along the shore: reach times length on a straight one, on both sides', () => {
  const sea = level(200, 190);
  const [strip] = foamStrip(sea, undefined, { reachSea: 40, reachUp: 15 });
  const heights = strip!.map((p) => p.y);
  near(Math.min(...heights), 160, 0.01);
  near(Math.max(...heights), 215, 0.01);
  const inside = (part: { rings: Point[][] }): number =>
    sum(partition(part.rings, [strip!]).inside.map((ring) => Math.max(...ring.map((p) => p.y)) - Math.min(...ring.map((p) => p.y))));
  const cut = cutBoard(panel, [], sea);
  near(inside(cut.beach), 15, 0.01);
  near(inside(cut.sea[0]!), 10, 0.01);
  near(inside(cut.sea[1]!), 30, 0.01);
});

test('foam that strays keeps its mean reach, and the same seed gives the same edge', () => {
  const sea = level(200, 190);
  const strip = (seed: number) => foamStrip(sea, undefined, { reachSea: 40, reachUp: 15, wander: 0.45, seed })[0]!;
  assert.deepEqual(strip(7), strip(7));
  assert.notDeepEqual(strip(7), strip(8));
  const edge = strip(7).filter((p) => p.y < 200);
  near(sum(edge.map((p) => 200 - p.y)) / edge.length, 40, 6);
});

test('a figure stands in the widest part of a region, and never in an opening of it', () => {
  const square = (x: number, y: number, side: number): Point[] => [
    { x, y },
    { x: x + side, y },
    { x: x + side, y: y + side },
    { x, y: y + side },
  ];
  assert.deepEqual(middleOf({ rings: [], area: 0, rim: 0 }), undefined);
  near(middleOf({ rings: [square(0, 0, 100)], area: 1e4, rim: 400 })!.x, 50, 4);
  const ring = { rings: [square(0, 0, 100), square(30, 30, 40).reverse()], area: 8400, rim: 400 };
  const { x, y } = middleOf(ring)!;
  assert.ok(x < 30 || x > 70 || y < 30 || y > 70, `${x}, ${y}`);
  const two = { rings: [square(0, 0, 20), square(100, 0, 60)], area: 4000, rim: 320 };
  near(middleOf(two)!.x, 130, 4);
});
