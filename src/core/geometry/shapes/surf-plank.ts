import { ellipseRim } from './ellipse';
import { arc, type Ring } from './ring';

/** Where the plank is widest, from its tail, as a share of its length. */
const WIDEST = 0.45;
const NOSE_CHORDS = 48;

const halves = (width: number, height: number) => ({ tail: width * WIDEST, nose: width * (1 - WIDEST), b: height / 2 });

/** mm²: half an ellipse at the tail, and a nose between two parabolas. */
export function surfArea(width: number, height: number): number {
  const { tail, nose, b } = halves(width, height);
  return (Math.PI / 2) * tail * b + (4 / 3) * nose * b;
}

/** mm; the arc of a parabola y = b(1 − (x/c)²) over c is ½(c√(1 + k²) + (c/k)·arsinh k), k = 2b/c. */
export function surfRim(width: number, height: number): number {
  const { tail, nose, b } = halves(width, height);
  const k = (2 * b) / nose;
  return ellipseRim(tail, b) / 2 + nose * Math.sqrt(1 + k * k) + (nose / k) * Math.asinh(k);
}

/** Its outline, mm. */
export function surfRing(width: number, height: number): Ring {
  const { tail, nose, b } = halves(width, height);
  const edge = (side: 1 | -1) =>
    Array.from({ length: NOSE_CHORDS }, (_, i) => {
      const u = (i + 1) / (NOSE_CHORDS + 1);
      return { x: tail + nose * u, y: b + side * b * (1 - u * u) };
    });
  return [...arc(tail, b, tail, b, Math.PI / 2, 1.5 * Math.PI), ...edge(-1), { x: width, y: b }, ...edge(1).reverse()];
}
