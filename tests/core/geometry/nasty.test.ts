import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { Point, Sea, Shape } from '#core/document';
import { CutError, cutBoard, outlineArea, type Cut } from '#core/geometry';
import { curveKinds, nastySea, snarl } from '../../nasty/curves';
import { means, piece, planner } from '../../factories';
import { near, sum } from '../help';

const shapes: Shape[] = [
  { kind: 'rectangle', width: 400, height: 300 },
  { kind: 'oval', width: 400, height: 300 },
  { kind: 'heart', width: 400, height: 300 },
];
const area = (cut: Cut): number => cut.beach.area + cut.bare.area + sum(cut.sea.map((r) => r.area));
const panel = shapes[0]!;

test('a shoreline that one drag doubles back along the edge of the board is cut', () => {
  const back: Point[] = [
    { x: 100, y: 300 },
    { x: 300, y: 300 },
    { x: 50, y: 300 },
  ];
  near(area(cutBoard(panel, [], { side: 'far', shoreline: back, edges: [] })), 120_000, 1e-6);
});

/** The attack cuts a hundred thousand of them; here each kind is met dozens of times. */
test('curves on edges, along edges, reversed, retraced, nearly closed and tangled are cut, and their areas add up', () => {
  const met = new Map<string, number>();
  for (let seed = 1; seed <= 600; seed++) {
    const { sea, kind } = nastySea(seed);
    const shape = shapes[seed % shapes.length]!;
    const cut = cutBoard(shape, [], sea);
    near(area(cut) / outlineArea(shape), 1, 0.001);
    met.set(kind, (met.get(kind) ?? 0) + 1);
  }
  for (const kind of curveKinds) assert.ok(met.get(kind)! > 36, kind);
});

function curveBlamed(sea: Sea): string | undefined {
  try {
    cutBoard(panel, [], sea);
  } catch (error) {
    if (error instanceof CutError) return error.curve;
  }
  return undefined;
}

test('a drawing tangled beyond measure is given up, and the sentence can name the curve', () => {
  assert.match(String(curveBlamed(snarl(1))), /^(shoreline|edge:|coast:)/);
});

test('a plan of nasty curves is made or given up, and a list goes on without it', () => {
  let made = 0;
  for (let seed = 1; seed <= 60; seed++) if (planner.planIfAble({ ...piece(), sea: nastySea(seed).sea }, means)) made++;
  assert.ok(made > 50);
  assert.equal(planner.planIfAble({ ...piece(), sea: snarl(1) }, means), undefined);
});
