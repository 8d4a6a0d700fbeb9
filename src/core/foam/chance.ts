/**
 * A number from 0 to 1 that depends on three counters and nothing else: the same place at the same count has the same
 * luck however the work is cut up (an integer mix of two xor-shifts and multiplies; no sequence is kept).
 */
export function chance(seed: number, i: number, n: number): number {
  let h = seed ^ Math.imul(i + 1, 0x9e3779b1) ^ Math.imul(n + 1, 0x85ebca77);
  h = Math.imul(h ^ (h >>> 16), 0x7feb352d);
  h = Math.imul(h ^ (h >>> 15), 0x846ca68b);
  h ^= h >>> 16;
  return ((h >>> 0) + 0.5) / 4294967296;
}

const ROOT12 = Math.sqrt(12);
/** Noise at a node of its lattice. */
export const node = (seed: number, i: number, j: number, n: number): number =>
  (chance(seed, (i + 4096) * 8192 + j + 4096, n) - 0.5) * ROOT12;

/** The smooth step from 0 to 1. */
export const ease = (f: number): number => f * f * (3 - 2 * f);

/**
 * Lattice noise of mean 0 and, at its nodes, deviation 1.
 * @param x, y place, mm @param every distance of its nodes, mm @param n which of many such fields
 */
export function noise(seed: number, x: number, y: number, every: number, n = 0): number {
  const [gx, gy] = [x / every, y / every];
  const [i, j] = [Math.floor(gx), Math.floor(gy)];
  const [a, b] = [ease(gx - i), ease(gy - j)];
  const near = node(seed, i, j, n) * (1 - a) + node(seed, i + 1, j, n) * a;
  const far = node(seed, i, j + 1, n) * (1 - a) + node(seed, i + 1, j + 1, n) * a;
  return near * (1 - b) + far * b;
}

/** A number of mean 0 and deviation 1 from two from 0 to 1 (Box and Muller 1958). */
export const normal = (u: number, v: number): number => Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * v);
