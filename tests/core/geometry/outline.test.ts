import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import type { Shape } from '#core/document';
import { bounds, outlineArea, rimLength, rimRings, type Ring } from '#core/geometry';
import { near, sum } from '../help';

const shoelace = (ring: Ring): number =>
  Math.abs(sum(ring.map((p, i) => p.x * ring[(i + 1) % ring.length]!.y - ring[(i + 1) % ring.length]!.x * p.y))) / 2;

test('areas in closed form', () => {
  near(outlineArea({ kind: 'rectangle', width: 400, height: 300 }), 120000);
  near(outlineArea({ kind: 'round', diameter: 100 }), 7853.98, 0.01);
  near(outlineArea({ kind: 'oval', width: 420, height: 280 }), 92362.824, 0.001);
});

test('a rail with five peg holes kept open', () => {
  const holes = [1, 2, 3, 4, 5].map((k) => ({ x: 100 * k, y: 40, diameter: 12 }));
  near(outlineArea({ kind: 'rectangle', width: 620, height: 120 }, holes), 620 * 120 - 5 * Math.PI * 36, 1e-6);
});

test('rims in closed form: a circle, a flat ellipse, and an ellipse of a = 2b', () => {
  near(rimLength({ kind: 'rectangle', width: 400, height: 300 }), 1400);
  near(rimLength({ kind: 'round', diameter: 100 }), 314.159265, 1e-5);
  // 4·a·E(e) with E(√3/2) = 1.2110560276
  near(rimLength({ kind: 'oval', width: 200, height: 100 }), 400 * 1.2110560275684594, 1e-6);
  near(rimLength({ kind: 'oval', width: 100, height: 200 }), 400 * 1.2110560275684594, 1e-6);
});

test('the polygon that stands for an oval has exactly its area', () => {
  fc.assert(
    fc.property(fc.integer({ min: 20, max: 3000 }), fc.integer({ min: 20, max: 3000 }), (width, height) => {
      const shape = { kind: 'oval' as const, width, height };
      near(shoelace(rimRings(shape)[0]!) / outlineArea(shape), 1, 1e-9);
    }),
  );
});

const around = (ring: Ring): number =>
  sum(ring.map((p, i) => Math.hypot(ring[(i + 1) % ring.length]!.x - p.x, ring[(i + 1) % ring.length]!.y - p.y)));

test('a panel with rounded corners: its corners together are a square less a circle', () => {
  const shape: Shape = { kind: 'rectangle', width: 400, height: 300, corner: 25 };
  near(outlineArea(shape), 120000 - (2500 - Math.PI * 625), 1e-6);
  near(rimLength(shape), 1400 - 200 + Math.PI * 50, 1e-6);
});

test('a heart is a square on its corner and two half discs', () => {
  // a square of 100 mm: 170.71 mm across, 156.07 mm high
  const shape: Shape = { kind: 'heart', width: 100 * (1 + Math.SQRT1_2), height: 100 * (0.5 + 0.75 * Math.SQRT2) };
  near(outlineArea(shape), 10000 + Math.PI * 2500, 1e-6);
  near(rimLength(shape), 200 + Math.PI * 100, 1e-6);
});

test('a surf plank is half an ellipse and two parabolas', () => {
  near(outlineArea({ kind: 'surf plank', width: 800, height: 200 }), (Math.PI / 2) * 360 * 100 + (4 / 3) * 440 * 100, 1e-6);
});

test('a plank with a handle: body, straight and round end', () => {
  const shape: Shape = { kind: 'plank', width: 500, height: 200, handle: { length: 120, width: 60 } };
  near(outlineArea(shape), 380 * 200 + 90 * 60 + Math.PI * 450, 1e-6);
  near(rimLength(shape), 2 * (380 + 200) - 60 + 180 + Math.PI * 30, 1e-6);
});

test('a free outline is the area of its polygons, openings taken out', () => {
  const square = (x: number, side: number): Ring => [
    { x, y: x },
    { x: x + side, y: x },
    { x: x + side, y: x + side },
    { x, y: x + side },
  ];
  const shape: Shape = { kind: 'outline', rings: [square(0, 100), square(30, 20)] };
  near(outlineArea(shape), 9600, 1e-6);
  near(rimLength(shape), 480, 1e-6); // resin runs over the edge of the opening too
});

const side = fc.integer({ min: 60, max: 2000 });
const shapes: fc.Arbitrary<Shape> = fc.oneof(
  fc.record({ kind: fc.constant('rectangle' as const), width: side, height: side, corner: fc.integer({ min: 0, max: 30 }) }),
  fc.record({ kind: fc.constantFrom('oval' as const, 'heart' as const, 'surf plank' as const), width: side, height: side }),
  fc.record({
    kind: fc.constant('slice' as const),
    width: side,
    height: side,
    seed: fc.nat(999),
    uneven: fc.double({ min: 0, max: 0.15, noNaN: true }),
  }),
  fc.record({
    kind: fc.constant('plank' as const),
    width: fc.integer({ min: 200, max: 2000 }),
    height: fc.integer({ min: 100, max: 600 }),
    corner: fc.integer({ min: 0, max: 20 }),
    handle: fc.record({ length: fc.integer({ min: 30, max: 120 }), width: fc.integer({ min: 20, max: 60 }) }),
  }),
);

test('every shape: its polygon has its area within 0.1 % and its rim within 0.1 %, and fills its bounds', () => {
  fc.assert(
    fc.property(shapes, (shape) => {
      const ring = rimRings(shape)[0]!;
      near(shoelace(ring) / outlineArea(shape), 1, 0.001);
      near(around(ring) / rimLength(shape), 1, 0.001);
      const { width, height } = bounds(shape);
      const [xs, ys] = [ring.map((p) => p.x), ring.map((p) => p.y)];
      for (const [low, high, long] of [
        [Math.min(...xs), Math.max(...xs), width],
        [Math.min(...ys), Math.max(...ys), height],
      ] as const)
        assert.ok(Math.abs(low) < 0.002 * long && Math.abs(high - long) < 0.002 * long, `${shape.kind}: ${low} to ${high} of ${long}`);
    }),
    { numRuns: 200 },
  );
});

test('a slice is the same for the same seed, and its polygon is within 0.1 % of a curve twice as fine', () => {
  const shape: Shape = { kind: 'slice', width: 300, height: 260, seed: 7, uneven: 0.1 };
  assert.deepEqual(rimRings({ ...shape }), rimRings(shape));
  assert.notDeepEqual(rimRings({ ...shape, seed: 8 }), rimRings(shape));
  // chords of 1° leave a segment of r²(θ − sin θ)/2 each: 5 parts in 100,000
  const half = rimRings(shape)[0]!.filter((_, i) => i % 2 === 0);
  near(shoelace(half) / outlineArea(shape), 1, 0.001);
});
