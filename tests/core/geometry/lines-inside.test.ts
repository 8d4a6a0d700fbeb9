import assert from 'node:assert/strict';
import { test } from 'node:test';
import { type Point, type Sea, type Shape } from '#core/document';
import { cutBoard, lineOf, type Cut } from '#core/geometry';
import { nastySea } from '../../nasty/curves';
import { near } from '../help';

const panel = { kind: 'rectangle', width: 400, height: 300 } as const;
/** The panel without its lower right quarter. */
const corner = {
  kind: 'outline',
  rings: [
    [
      { x: 0, y: 0 },
      { x: 400, y: 0 },
      { x: 400, y: 150 },
      { x: 200, y: 150 },
      { x: 200, y: 300 },
      { x: 0, y: 300 },
    ],
  ],
} satisfies Shape;
const shoreOf = (shoreline: Point[], side: Sea['side'] = 'far'): Cut => cutBoard(panel, [], { side, shoreline, edges: [] });

test('a shore that begins level and with points a hair apart is followed to its end', () => {
  // drawn finely, such points fall on one another to the µm
  const hair: Point[] = [
    { x: -1762.3618, y: -6000 },
    { x: -1762.38, y: -6000 },
    { x: 1298.66, y: -6000 },
    { x: 6000, y: 4211.4 },
  ];
  assert.ok(
    Number.isFinite(cutBoard({ kind: 'oval', width: 3000, height: 20 }, [], { side: 'left', shoreline: hair, edges: [] }).shoreLength),
  );
});

test('a shore keeps its direction and its length where it runs level before it falls', () => {
  const { shore } = shoreOf([
    { x: 20, y: 200 },
    { x: 60, y: 200 },
    { x: 60.001, y: 200 },
    { x: 200, y: 100 },
  ]);
  assert.equal(shore.length, 1);
  near(shore[0]![0]!.x, 20, 0.001);
  near(shore[0]!.at(-1)!.x, 200, 0.001);
});

test('a shore that leaves the board and comes back is in parts, and only what is on the board is counted', () => {
  const { shore, shoreLength } = cutBoard(panel, [{ x: 200, y: 150, diameter: 100 }], {
    side: 'far',
    shoreline: [
      { x: -50, y: 150 },
      { x: 450, y: 150 },
    ],
    edges: [],
  });
  assert.equal(shore.length, 2);
  // the opening is drawn with sides, not as a true circle
  near(shoreLength, 300, 0.2);
});

/** Length of a line on a board, step by step. */
function walked(line: Point[], on: (p: Point) => boolean): number {
  const step = 0.1;
  let length = 0;
  for (let i = 1; i < line.length; i++) {
    const [p, q] = [line[i - 1]!, line[i]!];
    const way = Math.hypot(q.x - p.x, q.y - p.y);
    const steps = Math.max(1, Math.ceil(way / step));
    for (let k = 0; k < steps; k++) {
      const share = (k + 0.5) / steps;
      if (on({ x: p.x + share * (q.x - p.x), y: p.y + share * (q.y - p.y) })) length += way / steps;
    }
  }
  return length;
}

test('the length of a nasty shore is that of a walk along it', () => {
  const onPanel = ({ x, y }: Point): boolean => x >= -0.005 && x <= 400.005 && y >= -0.005 && y <= 300.005;
  const onCorner = (p: Point): boolean => onPanel(p) && (p.x <= 200.005 || p.y <= 150.005);
  for (let seed = 1; seed <= 100; seed++) {
    const { side, shoreline } = nastySea(seed).sea;
    for (const [shape, on] of [
      [panel, onPanel],
      [corner, onCorner],
    ] as const) {
      const { shoreLength } = cutBoard(shape, [], { side, shoreline, edges: [] });
      const expected = walked(lineOf(shoreline), on);
      assert.ok(Math.abs(shoreLength - expected) < 1 + 0.002 * expected, `seed ${seed}, ${shape.kind}: ${shoreLength}, walked ${expected}`);
    }
  }
});
