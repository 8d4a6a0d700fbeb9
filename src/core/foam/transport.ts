import type { Box } from './box';
import type { Foam } from './state';

/** Layers of the film, mm, and the share of the return flow below the skin. */
export interface Layers {
  d1: number;
  d2: number;
  back: number;
}

/**
 * Flow of the topmost white by its amount, for a surface velocity of 1: the skin's profile falls by the share `s`, below it
 * runs on linearly to nothing at the ground, with a parabola of return flow. At a share 1 of it the whole film carries nothing.
 * @param w white, mm @param s share of the velocity that is in the skin
 */
export function flow(w: number, s: number, { d1, d2, back }: Layers): number {
  if (w <= d1) return w * (1 - (s * w) / (2 * d1));
  const z = Math.max(0, 1 - (w - d1) / d2);
  const a = 1 - s;
  const b = back * (3 * a + 6 * (d1 / d2) * (1 - s / 2));
  return d1 * (1 - s / 2) + d2 * ((a * (1 - z * z)) / 2 - b * (1 / 6 - (z * z) / 2 + (z * z * z) / 3));
}
/** Speed at which a change of that amount runs: the derivative of the flow. */
export function speed(w: number, s: number, { d1, d2, back }: Layers): number {
  if (w <= d1) return 1 - (s * w) / d1;
  const z = Math.max(0, 1 - (w - d1) / d2);
  const a = 1 - s;
  const b = back * (3 * a + 6 * (d1 / d2) * (1 - s / 2));
  return z * (a - b * (1 - z));
}

/** Less white than this on both sides does not move, mm. */
const NOTHING = 1e-6;

/** One line of cells while it is swept. */
class Sweep {
  w = new Float64Array(0);
  u = new Float64Array(0);
  s = new Float64Array(0);
  f = new Float64Array(0);
  grow(n: number): void {
    if (this.w.length >= n + 1) return;
    this.w = new Float64Array(n + 1);
    this.u = new Float64Array(n + 1);
    this.s = new Float64Array(n + 1);
    this.f = new Float64Array(n + 1);
  }
}
const sweep = new Sweep();

/**
 * Reads velocity and skin share of one line of fine cells from the field grid, bilinearly: three quarters of the field cell
 * a fine one lies in, a quarter of the next on its side.
 * @returns whether any of it moves
 */
function readLine(foam: Foam, velocity: Float32Array, alongX: boolean, line: number, from: number, to: number): boolean {
  const { fx, fy, share } = foam;
  const step = alongX ? 1 : fx;
  const over = alongX ? fx : 1;
  const last = (alongX ? fx : fy) - 1;
  const lines = (alongX ? fy : fx) - 1;
  const own = line >> 1;
  const next = line % 2 === 0 ? Math.max(0, own - 1) : Math.min(lines, own + 1);
  const a = own * over;
  const b = next * over;
  const { u, s } = sweep;
  let moves = false;
  for (let n = from; n < to; n++) {
    const i = n >> 1;
    const j = (n & 1) === 0 ? (i > 0 ? i - 1 : 0) : i < last ? i + 1 : last;
    const k = i * step;
    const l = j * step;
    const v = 0.5625 * velocity[a + k]! + 0.1875 * (velocity[a + l]! + velocity[b + k]!) + 0.0625 * velocity[b + l]!;
    u[n - from] = v;
    if (v !== 0) moves = true;
    s[n - from] = 0.5625 * share[a + k]! + 0.1875 * (share[a + l]! + share[b + k]!) + 0.0625 * share[b + l]!;
  }
  return moves;
}

/** Flux of the second order through the face between two cells of a line, by the limited slope (van Leer 1974) of the one the wave comes from. */
function faces(n: number, ratio: number, layers: Layers): void {
  const { w, u, s, f } = sweep;
  const { d1 } = layers;
  const half = 0.5 / d1;
  for (let i = 1; i < n; i++) {
    const left = w[i - 1]!;
    const right = w[i]!;
    f[i] = 0;
    if (left < NOTHING && right < NOTHING) continue;
    const v = (u[i - 1]! + u[i]!) / 2;
    if (v === 0) continue;
    const skin = (s[i - 1]! + s[i]!) / 2;
    // white that lies within the skin on both sides always runs forward, and its flow is a parabola
    const thin = left <= d1 && right <= d1;
    const fromLeft = v > 0 === (thin || waveOf(left, right, skin, layers) >= 0);
    const up = fromLeft ? i - 1 : i;
    const own = w[up]!;
    let slope = 0;
    if (up > 0 && up + 1 < n) {
      const before = own - w[up - 1]!;
      const after = w[up + 1]! - own;
      if (before * after > 0) slope = (2 * before * after) / (before + after);
    }
    const courant = Math.min(1, Math.abs(v * (thin ? 1 - (skin * own) / d1 : speed(own, skin, layers))) * ratio);
    const face = own + (fromLeft ? 0.5 : -0.5) * (1 - courant) * slope;
    f[i] = v * (face <= d1 ? face * (1 - skin * face * half) : flow(face, skin, layers));
  }
}

/** Speed at which the step between two amounts runs, for a surface velocity of 1. */
function waveOf(left: number, right: number, skin: number, layers: Layers): number {
  const rise = right - left;
  return Math.abs(rise) > 1e-9 ? (flow(right, skin, layers) - flow(left, skin, layers)) / rise : speed(left, skin, layers);
}

/** Carries the white of a box of fine cells along one axis for a while. White that leaves the board is lost, and counted. */
function carryAlong(foam: Foam, alongX: boolean, box: Box, dt: number, layers: Layers): void {
  const { nx, ny, dx, w } = foam;
  const velocity = alongX ? foam.ux : foam.uy;
  const [from, to, first, last, step, over, count] = alongX
    ? [box.i0, box.i1, box.j0, box.j1, 1, nx, nx]
    : [box.j0, box.j1, box.i0, box.i1, nx, 1, ny];
  sweep.grow(to - from);
  const ratio = dt / dx;
  const whole = sweep.w;
  for (let line = first; line < last; line++) {
    const row = line * over;
    // of a line only what has white, with two cells around for the slopes
    let [a, b] = [from, to];
    while (a < b && w[row + a * step]! < NOTHING) a++;
    if (a === b) continue;
    while (w[row + (b - 1) * step]! < NOTHING) b--;
    a = Math.max(from, a - 2);
    b = Math.min(to, b + 2);
    if (!readLine(foam, velocity, alongX, line, a, b)) continue;
    const n = b - a;
    const base = row + a * step;
    for (let i = 0; i < n; i++) whole[i] = w[base + i * step]!;
    faces(n, ratio, layers);
    const { u, s, f } = sweep;
    f[0] = a === 0 && u[0]! < 0 ? u[0]! * flow(whole[0]!, s[0]!, layers) : 0;
    f[n] = b === count && u[n - 1]! > 0 ? u[n - 1]! * flow(whole[n - 1]!, s[n - 1]!, layers) : 0;
    foam.off += (f[n] - f[0]) * dt * dx;
    for (let i = 0; i < n; i++) {
      const change = ratio * (f[i]! - f[i + 1]!);
      if (change !== 0) w[base + i * step] = Math.max(0, whole[i]! + change);
    }
  }
}

/** Greatest speed along an axis where white lies, or beside it, mm/s: what moves without white asks for no shorter steps. */
function fastestOf({ nx, fx, fy, w, ux, uy }: Foam, box: Box): number {
  let fastest = 0;
  for (let J = box.j0 >> 1; J < (box.j1 + 1) >> 1; J++)
    for (let I = box.i0 >> 1; I < (box.i1 + 1) >> 1; I++) {
      const k = 2 * J * nx + 2 * I;
      if (w[k]! < NOTHING && w[k + 1]! < NOTHING && w[k + nx]! < NOTHING && w[k + nx + 1]! < NOTHING) continue;
      for (let n = Math.max(0, J - 1); n < Math.min(fy, J + 2); n++)
        for (let i = n * fx + Math.max(0, I - 1); i < n * fx + Math.min(fx, I + 2); i++)
          fastest = Math.max(fastest, Math.abs(ux[i]!), Math.abs(uy[i]!));
    }
  return fastest;
}

/**
 * White is carried with its amount conserved: sweeps of the two axes take turns (Strang 1968), as many of them as the
 * fastest place asks for.
 * @param box fine cells @param dt s
 */
export function carry(foam: Foam, box: Box, dt: number): void {
  const { dx, physical: p } = foam;
  const layers = { d1: p.skin, d2: p.film - p.skin, back: foam.tuned.back };
  let left = dt;
  for (let part = 0; left > 1e-9; part++) {
    const fastest = fastestOf(foam, box);
    if (fastest === 0) return;
    // the white may have come to where it moves faster: what is left is cut anew
    const step = left / Math.ceil((fastest * left) / (0.45 * dx));
    carryAlong(foam, part % 2 === 0, box, step, layers);
    carryAlong(foam, part % 2 !== 0, box, step, layers);
    left -= step;
  }
}
