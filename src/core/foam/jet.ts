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
  return {
    i0: Math.max(0, Math.floor(Math.min(...xs) / h)),
    j0: Math.max(0, Math.floor(Math.min(...ys) / h)),
    i1: Math.min(fx, Math.ceil(Math.max(...xs) / h)),
    j1: Math.min(fy, Math.ceil(Math.max(...ys) / h)),
  };
}

/** Gusts of one moment over a box: both parts at the nodes of their lattice, blended between two slices of time. */
export interface Gusts {
  i0: number;
  j0: number;
  wide: number;
  /** How much stronger the air is, and how much it goes aside, as shares. */
  strength: Float64Array;
  aside: Float64Array;
}

/** @param box field cells the gusts are wanted over */
export function gustsAt({ seed, t, dx, tuned }: Foam, box: Box): Gusts {
  const slice = t / GUST;
  const n = Math.floor(slice + 1e-9);
  const [now, then] = [Math.cos((Math.PI / 2) * (slice - n)), Math.sin((Math.PI / 2) * (slice - n))];
  const per = (2 * dx) / LATTICE;
  const [i0, j0] = [Math.floor(box.i0 * per), Math.floor(box.j0 * per)];
  const wide = Math.floor(box.i1 * per) + 2 - i0;
  const tall = Math.floor(box.j1 * per) + 2 - j0;
  const nodes = (of: number): Float64Array =>
    Float64Array.from({ length: wide * tall }, (_, k) => {
      const [i, j] = [i0 + (k % wide), j0 + Math.floor(k / wide)];
      return tuned.gusts * (now * node(seed + of, i, j, n) + then * node(seed + of, i, j, n + 1));
    });
  return { i0, j0, wide, strength: nodes(31), aside: nodes(37) };
}

/** Reads gusts at a place, mm. */
export function gust({ i0, j0, wide }: Gusts, of: Float64Array, x: number, y: number): number {
  const gx = x / LATTICE - i0;
  const gy = y / LATTICE - j0;
  const i = gx | 0;
  const j = gy | 0;
  const a = ease(gx - i);
  const b = ease(gy - j);
  const k = j * wide + i;
  return (of[k]! * (1 - a) + of[k + 1]! * a) * (1 - b) + (of[k + wide]! * (1 - a) + of[k + wide + 1]! * a) * b;
}
