import { around, clamp, isEmpty, twice, union, within, type Box } from './box';
import { carryCells } from './carriage';
import { contactsOf } from './contacts';
import { coldOf } from './drive';
import { at } from './fluidity';
import { growCells } from './growth';
import { ageOn, conduct, warmUp } from './heat';
import { markInside } from './inside';
import { reachOf, type Jet } from './jet';
import { sinkIn, stirIn } from './mist';
import { nucleate } from './nucleation';
import { breakWalls } from './rupture';
import { whitePart, type Foam } from './state';
import { setTiles } from './tiles';
import { carry } from './transport';
import { setVelocity } from './velocity';

/** One step of the air, s. */
export const STEP = 0.05;
/** How often cells are born and grow: under the air, at rest while the film is warm, and cold, s. */
const [CELLS_HOT, CELLS_WARM, CELLS_COLD] = [0.5, 2, 20];
/** Heat spreads sideways and ages the film this often, s. */
const CONDUCTS = 0.5;
/** A place this much over the room is warm, K. */
const WARM = 0.5;
/** Field cells around what is warm that are worked on too. */
const MARGIN = 2;

/** What of a box is warmer than the room. */
function warmPart({ fx, skinC, restC, roomC }: Foam, box: Box): Box {
  let [i0, j0, i1, j1] = [box.i1, box.j1, box.i0, box.j0];
  for (let J = box.j0; J < box.j1; J++)
    for (let I = box.i0; I < box.i1; I++) {
      const k = J * fx + I;
      if (skinC[k]! <= roomC + WARM && restC[k]! <= roomC + WARM) continue;
      if (I < i0) i0 = I;
      if (I >= i1) i1 = I + 1;
      if (J < j0) j0 = J;
      if (J >= j1) j1 = J + 1;
    }
  return { i0, j0, i1, j1 };
}

/** Cells are born, grow, and break into each other. */
function cells(foam: Foam, dt: number): void {
  const cold = coldOf(foam);
  const white = whitePart(foam, { i0: 0, j0: 0, i1: foam.nx, j1: foam.ny });
  markInside(foam);
  setTiles(foam);
  if (foam.holes.count > 0) {
    const [width, height] = [foam.nx * foam.dx, foam.ny * foam.dx];
    growCells(foam, contactsOf(foam.holes, width, height), dt, cold);
    breakWalls(foam, contactsOf(foam.holes, width, height), dt, cold);
  }
  nucleate(foam, white, dt, cold);
}

function grow(foam: Foam, every: number, dt: number): void {
  foam.sinceCells += dt;
  if (foam.sinceCells < every - 1e-6) return;
  cells(foam, foam.sinceCells);
  foam.sinceCells = 0;
}

/** What moves and what warms in one step. @returns the box that was worked on */
function stir(foam: Foam, dt: number, jet?: Jet): void {
  const { fx, fy, nx, ny } = foam;
  const box = clamp(jet ? union(foam.warm, around(reachOf(foam, jet), MARGIN)) : foam.warm, fx, fy);
  if (isEmpty(box)) return;
  const moving = setVelocity(foam, box, jet);
  warmUp(foam, box, dt, jet);
  if (!isEmpty(moving)) {
    // a cell beside what moves takes and gives too
    const fine = clamp(around(twice(moving), 2), nx, ny);
    const white = whitePart(foam, fine);
    if (!isEmpty(white)) {
      carry(foam, within(white, fine), dt);
      stirIn(foam, within(white, fine), dt);
    }
    if (foam.holes.count > 0) carryCells(foam, dt);
  }
  const before = Math.floor(foam.t / CONDUCTS + 1e-6);
  if (Math.floor((foam.t + dt) / CONDUCTS + 1e-6) > before) {
    conduct(foam, box, CONDUCTS);
    ageOn(foam, box, CONDUCTS);
    foam.warm = clamp(around(warmPart(foam, box), MARGIN), fx, fy);
  } else foam.warm = box;
}

function pass(foam: Foam, dt: number): void {
  foam.t += dt;
  foam.age += at(foam.ages, foam.roomC) * dt;
}

/** One step of 50 ms, with the air or without. */
export function heatStep(foam: Foam, jet?: Jet, dt = STEP): void {
  stir(foam, dt, jet);
  pass(foam, dt);
  foam.heated += dt;
  grow(foam, CELLS_HOT, dt);
}

/** What rests is still warm for a while: its steps are longer, for nothing moves fast. */
const REST_STEP = 0.5;

/** Rests the board. What is warm goes on moving as it cools; then cells open slowly. */
export function rest(foam: Foam, seconds: number): void {
  let left = seconds;
  while (left > 1e-9) {
    const dt = Math.min(isEmpty(foam.warm) ? CELLS_COLD : REST_STEP, left);
    stir(foam, dt);
    sinkIn(foam, whitePart(foam, { i0: 0, j0: 0, i1: foam.nx, j1: foam.ny }), dt, coldOf(foam));
    pass(foam, dt);
    grow(foam, isEmpty(foam.warm) ? CELLS_COLD : CELLS_WARM, dt);
    left -= dt;
  }
}
