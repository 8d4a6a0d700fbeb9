import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { boxOf, type Hole, type Point, type Sea, type Shape, type Side } from '#core/document';
import { startingSea, startingSeas } from '#core/craft';
import { cutBoard, Cutter } from '#core/geometry';

const panel: Shape = { kind: 'rectangle', width: 400, height: 300 };
const boards: Shape[] = [panel, { kind: 'round', diameter: 320 }, { kind: 'slice', width: 320, height: 280, seed: 5, uneven: 0.08 }];
const hole: Hole = { x: 90, y: 60, diameter: 40, filled: false };

test('a curve that was open is another once it is closed, though it has the same points', () => {
  const points: Point[] = [
    { x: 120, y: 90 },
    { x: 280, y: 90 },
    { x: 280, y: 200 },
    { x: 120, y: 200 },
  ];
  const base = startingSea(startingSeas[0]!.name, boxOf(panel), 4);
  const withCoast = (closed: boolean): Sea => ({ ...base, coasts: [{ id: 'coast-1', closed, points, edges: [] }] });
  const cutter = new Cutter();
  const [open, closed, again] = [false, true, false].map((c) => cutter.cut(panel, [], withCoast(c)));
  assert.deepEqual(open, cutBoard(panel, [], withCoast(false)));
  assert.deepEqual(closed, cutBoard(panel, [], withCoast(true)));
  assert.deepEqual(again, open);
  assert.notEqual(open!.beach.area, closed!.beach.area, 'or the test would not tell them apart');
});

test('what a cutter keeps is never seen: after any edits, whose curves it knows, it cuts as one made anew', () => {
  const seas = startingSeas.map(({ name }) => startingSea(name, boxOf(panel), 4));
  const lines = seas.flatMap((sea) => [sea.shoreline, ...sea.edges, ...(sea.coasts ?? []).map((c) => c.points)]);
  const line = fc.constantFrom(...lines);
  const edit = fc.oneof(
    line.map((shoreline) => (sea: Sea): Sea => ({ ...sea, shoreline })),
    fc.tuple(fc.nat(3), line).map(([i, edge]) => (sea: Sea): Sea => ({ ...sea, edges: sea.edges.map((e, k) => (k === i ? edge : e)) })),
    fc
      .tuple(line, fc.boolean())
      .map(([points, closed]) => (sea: Sea): Sea => ({ ...sea, coasts: [{ id: 'coast-1', closed, points, edges: [] }] })),
    fc.constantFrom<Side>('far', 'near', 'left', 'right').map((side) => (sea: Sea): Sea => ({ ...sea, side })),
    line.map((bare) => (sea: Sea): Sea => ({ ...sea, bare })),
    fc.constant(({ bare: _, coasts: __, ...sea }: Sea): Sea => sea),
  );
  const cutter = new Cutter();
  fc.assert(
    fc.property(
      fc.constantFrom(...seas),
      fc.array(fc.tuple(edit, fc.constantFrom(...boards), fc.boolean()), { minLength: 1, maxLength: 8 }),
      (start, edits) => {
        let sea = start;
        for (const [change, board, pierced] of edits) {
          sea = change(sea);
          const holes = pierced ? [hole] : [];
          assert.deepEqual(cutter.cut(board, holes, sea), cutBoard(board, holes, sea));
        }
      },
    ),
    { numRuns: 60 },
  );
});
