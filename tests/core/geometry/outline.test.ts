import { test } from 'node:test';
import fc from 'fast-check';
import { outlineArea, rimLength, rimRing, type Ring } from '#core/geometry';
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
      near(shoelace(rimRing(shape)) / outlineArea(shape), 1, 1e-9);
    }),
  );
});
