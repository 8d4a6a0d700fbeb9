import type { Straight } from './straighten';
import { lumOf } from './light';

/** Of the edges of a picture, those this strong beside the strongest are looked at. */
const STRONG = 0.35;
/** Blur by which the picture is blurred again, places. */
const AGAIN = 1.2;

/** Three box means of three, which come near a bell of deviation √2: along one axis. */
function softened(values: Float32Array, columns: number, rows: number, step: number): Float32Array {
  let from = values;
  for (let time = 0; time < 2; time++) {
    const out = from.slice();
    for (let j = 1; j + 1 < rows; j++)
      for (let i = 1; i + 1 < columns; i++) {
        const k = j * columns + i;
        out[k] = (from[k - step]! + from[k]! + from[k + step]!) / 3;
      }
    from = out;
  }
  return from;
}

/**
 * How soft the edges of a picture are: the deviation of the blur that made them, places, from how much weaker they grow when the picture
 * is blurred again (Zhuo and Sim 2011, *Pattern Recognition*); the median over its strong edges. And its noise, as a share of full light.
 * @param window places looked at, taken from the middle of where there are edges
 */
export function focusOf({ columns, rows, rgb }: Straight, around: { i: number; j: number }[]): { blur: number; noise: number } {
  const SIDE = 96;
  const blurs: number[] = [];
  const noises: number[] = [];
  for (const { i, j } of around) {
    const [i0, j0] = [Math.min(Math.max(0, i - SIDE / 2), columns - SIDE), Math.min(Math.max(0, j - SIDE / 2), rows - SIDE)];
    if (i0 < 0 || j0 < 0) continue;
    const cut = new Float32Array(SIDE * SIDE);
    for (let y = 0; y < SIDE; y++) for (let x = 0; x < SIDE; x++) cut[y * SIDE + x] = lumOf(rgb, (j0 + y) * columns + i0 + x);
    if (cut.some(Number.isNaN)) continue;
    noises.push(noiseOf(cut, SIDE));
    const soft = softened(softened(cut, SIDE, SIDE, 1), SIDE, SIDE, SIDE);
    const slope = (of: Float32Array, k: number): number => Math.hypot(of[k + 1]! - of[k - 1]!, of[k + SIDE]! - of[k - SIDE]!);
    const inner: number[] = [];
    for (let y = 4; y < SIDE - 4; y++) for (let x = 4; x < SIDE - 4; x++) inner.push(y * SIDE + x);
    const strongest = Math.max(...inner.map((k) => slope(cut, k)));
    // an edge of less than a twentieth of full light is grain or noise
    if (strongest < 0.05) continue;
    for (const k of inner) {
      const [a, b] = [slope(cut, k), slope(soft, k)];
      if (a < STRONG * strongest || b <= 0 || a <= b) continue;
      // an edge is looked at where it is steepest: beside that the ratio says nothing of its softness
      const across = Math.abs(cut[k + 1]! - cut[k - 1]!) > Math.abs(cut[k + SIDE]! - cut[k - SIDE]!) ? 1 : SIDE;
      if (slope(cut, k - across) > a || slope(cut, k + across) > a) continue;
      // again is the deviation of two boxes of three: √(4/3)
      blurs.push(AGAIN / Math.sqrt((a / b) ** 2 - 1));
    }
  }
  const middle = (of: number[]): number => of.sort((a, b) => a - b)[of.length >> 1] ?? 0;
  return { blur: middle(blurs), noise: middle(noises) };
}

/** Deviation of what differs from place to place where nothing else changes: from the second differences (Immerkær 1996). */
function noiseOf(cut: Float32Array, side: number): number {
  const found: number[] = [];
  for (let y = 1; y + 1 < side; y += 2)
    for (let x = 1; x + 1 < side; x += 2) {
      const k = y * side + x;
      const laplace =
        cut[k - side - 1]! -
        2 * cut[k - side]! +
        cut[k - side + 1]! -
        2 * cut[k - 1]! +
        4 * cut[k]! -
        2 * cut[k + 1]! +
        cut[k + side - 1]! -
        2 * cut[k + side]! +
        cut[k + side + 1]!;
      found.push(Math.abs(laplace));
    }
  found.sort((a, b) => a - b);
  // the quieter part of it is bare tint: the median of an absolute bell is 0.6745 of its deviation
  return (found[Math.floor(found.length * 0.3)] ?? 0) / (0.385 * 6);
}
