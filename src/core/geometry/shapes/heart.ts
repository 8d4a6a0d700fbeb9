import { ellipseRim } from './ellipse';
import { arc, type Ring } from './ring';

/**
 * A heart: a square stood on its corner with a half disc on each of its upper sides, stretched to the width and height
 * asked for. In units of the square's side it is as wide and as high as this.
 */
const WIDE = 1 + Math.SQRT1_2;
const HIGH = 0.5 + 0.75 * Math.SQRT2;

/** mm²; the stretch keeps the ratio to the bounds. */
export const heartArea = (width: number, height: number): number => ((1 + Math.PI / 4) * width * height) / (WIDE * HIGH);

/** mm: two straight sides, and two halves of an ellipse; any half turn of an ellipse is half its length. */
export function heartRim(width: number, height: number): number {
  const [sx, sy] = [width / WIDE, height / HIGH];
  return 2 * Math.hypot(sx * Math.SQRT1_2, sy * Math.SQRT1_2) + ellipseRim(sx / 2, sy / 2);
}

/** Its outline, mm. */
export function heartRing(width: number, height: number): Ring {
  const [sx, sy] = [width / WIDE, height / HIGH];
  const eighth = Math.PI / 4;
  // the lobes' middles lie a quarter of the diagonal from the square's, which is half the width across
  const [cx, cy] = [width / 2, sy * (0.5 + Math.SQRT2 / 4)];
  const lobe = Math.SQRT2 / 4;
  const right = arc(cx + sx * lobe, cy - sy * lobe, sx / 2, sy / 2, -3 * eighth, eighth);
  const left = arc(cx - sx * lobe, cy - sy * lobe, sx / 2, sy / 2, 3 * eighth, 7 * eighth);
  return [...right, { x: cx, y: height }, ...left.slice(0, -1)];
}
