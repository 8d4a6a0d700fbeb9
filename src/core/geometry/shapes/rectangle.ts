import type { Rectangle } from '#core/document';
import { arc, type Ring } from './ring';

const rounding = ({ corner = 0 }: Rectangle): number => corner;

/** mm² */
export const rectangleArea = (s: Rectangle): number => s.width * s.height - (4 - Math.PI) * rounding(s) ** 2;
/** mm */
export const rectangleRim = (s: Rectangle): number => 2 * (s.width + s.height) - (8 - 2 * Math.PI) * rounding(s);

/** Its outline, mm, with its corners rounded. */
export function rectangleRing(s: Rectangle): Ring {
  const { width: w, height: h } = s;
  const r = rounding(s);
  const turn = Math.PI / 2;
  const corners: [number, number, number][] = [
    [r, r, 2],
    [w - r, r, 3],
    [w - r, h - r, 0],
    [r, h - r, 1],
  ];
  return corners.flatMap(([x, y, q]) => (r > 0 ? arc(x, y, r, r, q * turn, (q + 1) * turn) : [{ x, y }]));
}
