import type { Plank, Rectangle } from '#core/document';
import { rectangleArea, rectangleRim } from './rectangle';
import { arc, type Ring } from './ring';

const bodyOf = ({ width, height, corner, handle }: Plank): Rectangle => ({
  kind: 'rectangle',
  width: width - handle.length,
  height,
  ...(corner !== undefined && { corner }),
});

/** mm²: the body, the straight of the handle, and its round end. */
export function plankArea(s: Plank): number {
  const { length, width } = s.handle;
  return rectangleArea(bodyOf(s)) + (length - width / 2) * width + (Math.PI * width ** 2) / 8;
}

/** mm; the handle covers its own width of the body's rim. */
export function plankRim(s: Plank): number {
  const { length, width } = s.handle;
  return rectangleRim(bodyOf(s)) - width + 2 * (length - width / 2) + (Math.PI * width) / 2;
}

/** Its outline, mm. */
export function plankRing(s: Plank): Ring {
  const { width: w, height: h, corner: r = 0, handle } = s;
  const [body, mid, half, turn] = [w - handle.length, h / 2, handle.width / 2, Math.PI / 2];
  const corner = (x: number, y: number, q: number) => (r > 0 ? arc(x, y, r, r, q * turn, (q + 1) * turn) : [{ x, y }]);
  return [
    ...corner(r, r, 2),
    ...corner(body - r, r, 3),
    { x: body, y: mid - half },
    ...arc(w - half, mid, half, half, -turn, turn),
    { x: body, y: mid + half },
    ...corner(body - r, h - r, 0),
    ...corner(r, h - r, 1),
  ];
}
