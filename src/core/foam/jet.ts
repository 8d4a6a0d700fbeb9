import { ease, node } from './chance';
import type { Box } from './box';
import type { Foam } from './state';
import type { Air } from './tools';

/** Air on the film: where its middle is, mm, and which way it goes. */
export interface Jet extends Air {
  x: number;
  y: number;
  /** Direction over the board, of length 1. */
  dx: number;
  dy: number;
}

/** What lies outside of this, in half-lengths, gets no air: behind, ahead, to the sides. */
const [BEHIND, AHEAD, SIDE] = [0.85, 4, 2.5];
const WIDENS = 0.25;

/** Gusts: their lattice, mm, and how long one lasts, s. */
const [LATTICE, GUST] = [7, 0.3];

/** How far a place lies to the side of the air, in half-widths of it there; it fans out ahead. */
export function sideOf(jet: Jet, x: number, y: number): number {
  const rx = x - jet.x;
  const ry = y - jet.y;
  const ahead = rx * jet.dx + ry * jet.dy;
  return (ry * jet.dx - rx * jet.dy) / (jet.across + WIDENS * Math.max(ahead, 0));
}

/** Share of the jet's effect at a place, 0 to 1: it ends a little behind, and runs out ahead along the board (Rajaratnam 1976). */
export function footprintAt(jet: Jet, x: number, y: number): number {
  const ahead = (x - jet.x) * jet.dx + (y - jet.y) * jet.dy;
  const q = ahead / jet.along;
  const side = sideOf(jet, x, y);
  if (q <= -BEHIND || q >= AHEAD || side * side >= SIDE * SIDE) return 0;
  const run = q < 0 ? (Math.exp(-2 * q * q) - 0.23575) / 0.76425 : q > 2 ? (1 - ease((q - 2) / 2)) / (1 + q * q) : 1 / (1 + q * q);
  const wide = jet.across + WIDENS * Math.max(ahead, 0);
  return Math.max(0, (run * (jet.across / wide) * (Math.exp((-side * side) / 2) - 0.044)) / 0.956);
}

/** Field cells a jet may reach. */
export function reachOf({ fx, fy, dx }: Foam, jet: Jet): Box {
  const h = 2 * dx;
  const far = AHEAD * jet.along;
  const wide = SIDE * (jet.across + WIDENS * far);
  const back = BEHIND * jet.along;
  const xs = [-back, far].flatMap((a) => [-wide, wide].map((b) => jet.x + a * jet.dx - b * jet.dy));
  const ys = [-back, far].flatMap((a) => [-wide, wide].map((b) => jet.y + a * jet.dy + b * jet.dx));
  const i0 = Math.max(0, Math.floor(Math.min(...xs) / h));
  const j0 = Math.max(0, Math.floor(Math.min(...ys) / h));
  // air that passes beside the board reaches none of it
  return {
    i0,
    j0,
    i1: Math.max(i0, Math.min(fx, Math.ceil(Math.max(...xs) / h))),
    j1: Math.max(j0, Math.min(fy, Math.ceil(Math.max(...ys) / h))),
  };
}

/** Gusts of one moment at each field cell of a box: how much stronger the air is, and how much it goes aside, as shares. */
export interface Gusts {
  strength: Float32Array;
  aside: Float32Array;
}

/** Lattice noise over a box of field cells, blended between two slices of time, row by row. */
function gusting({ seed, t, dx, tuned }: Foam, { i0, j0, i1, j1 }: Box, of: number): Float32Array {
  if (i1 <= i0 || j1 <= j0) return new Float32Array(0);
  const slice = t / GUST;
  const n = Math.floor(slice + 1e-9);
  const now = Math.cos((Math.PI / 2) * (slice - n));
  const then = Math.sin((Math.PI / 2) * (slice - n));
  const at = (cell: number): number => ((2 * cell + 1) * dx) / LATTICE;
  const [left, top] = [Math.floor(at(i0)), Math.floor(at(j0))];
  const wide = Math.floor(at(i1 - 1)) + 2 - left;
  const nodes = (row: number): Float64Array =>
    Float64Array.from(
      { length: wide },
      (_, k) => tuned.gusts * (now * node(seed + of, left + k, row, n) + then * node(seed + of, left + k, row, n + 1)),
    );
  const columns = Array.from({ length: i1 - i0 }, (_, k) => Math.floor(at(i0 + k)) - left);
  const weights = Float64Array.from(columns, (c, k) => ease(at(i0 + k) - left - c));
  const out = new Float32Array((i1 - i0) * (j1 - j0));
  const row = new Float64Array(wide);
  let [above, below, lattice] = [nodes(top), nodes(top + 1), top];
  for (let J = j0, k = 0; J < j1; J++) {
    const y = at(J);
    while (lattice < Math.floor(y)) [above, below, lattice] = [below, nodes(lattice + 2), lattice + 1];
    const b = ease(y - lattice);
    for (let c = 0; c < wide; c++) row[c] = above[c]! * (1 - b) + below[c]! * b;
    for (let i = 0; i < weights.length; i++, k++) {
      const c = columns[i]!;
      out[k] = row[c]! + (row[c + 1]! - row[c]!) * weights[i]!;
    }
  }
  return out;
}

/** @param box field cells the gusts are wanted over */
export const gustsAt = (foam: Foam, box: Box): Gusts => ({ strength: gusting(foam, box, 31), aside: gusting(foam, box, 37) });
