import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { boxOf, linesOf, type Piece, type Point } from '#core/document';
import { withArea, withBareEdge, withBreaker, withIsland, withLineMoved } from '#core/edit';
import { empty, piece } from '../../factories';
import { near } from '../help';

const drawn = (): Piece => withBareEdge(withBreaker(withIsland(withArea(piece(), 'sky', empty))));
const pointsOf = (p: Piece, key: string): Point[] => linesOf(p.sea).find((l) => l.key === key)!.points;

test('a whole curve is moved by the same for every point; the ends of a shore slide along their sides', () => {
  const p = piece();
  const [was, now] = [pointsOf(p, 'shoreline'), pointsOf(withLineMoved(p, 'shoreline', { x: 6, y: -12 }), 'shoreline')];
  now.slice(1, -1).forEach((q, i) => {
    near(q.x, was[i + 1]!.x + 6, 0.051);
    near(q.y, was[i + 1]!.y - 12, 0.051);
  });
  for (const [a, b] of [
    [was[0]!, now[0]!],
    [was.at(-1)!, now.at(-1)!],
  ] as const) {
    assert.equal(b.x, a.x, 'an end stays on its side');
    near(b.y, a.y - 12, 0.051);
  }
  const isle = 'coast:coast-1';
  const [before, after] = [pointsOf(drawn(), isle), pointsOf(withLineMoved(drawn(), isle, { x: -20, y: 5 }), isle)];
  after.forEach((q, i) => near(q.x, before[i]!.x - 20, 0.051));
});

test('whatever curve is moved however far, it stays on the board and keeps its shape', () => {
  const keys = linesOf(drawn().sea).map((l) => l.key);
  fc.assert(
    fc.property(fc.constantFrom(...keys), fc.integer({ min: -900, max: 900 }), fc.integer({ min: -900, max: 900 }), (key, x, y) => {
      const p = drawn();
      const [w, h] = boxOf(p.shape);
      const [was, now] = [pointsOf(p, key), pointsOf(withLineMoved(p, key, { x, y }), key)];
      assert.equal(now.length, was.length);
      assert.ok(now.every((q) => q.x >= 0 && q.x <= w && q.y >= 0 && q.y <= h));
      const inner = was.slice(1, -1);
      inner.slice(1).forEach((q, i) => {
        const before = Math.hypot(q.x - inner[i]!.x, q.y - inner[i]!.y);
        near(Math.hypot(now[i + 2]!.x - now[i + 1]!.x, now[i + 2]!.y - now[i + 1]!.y), before, 0.2);
      });
    }),
    { numRuns: 300 },
  );
});

test('a curve that is not there cannot be moved', () => {
  assert.throws(() => withLineMoved(piece(), 'coast:gone', { x: 1, y: 1 }), RangeError);
});
