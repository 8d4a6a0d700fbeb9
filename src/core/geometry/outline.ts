import { boxOf, type Hole, type Point, type Shape } from '#core/document';

/** Closed polygon, mm, without the first point repeated. */
export type Ring = Point[];

/** Sides of the polygon that stands for an oval. Its area is made equal to the oval's. */
const OVAL_SIDES = 128;

export interface Bounds {
  width: number;
  height: number;
}

/** Bounds of a shape, mm; every shape stands with its upper left corner at the origin. */
export function bounds(shape: Shape): Bounds {
  const [width, height] = boxOf(shape);
  return { width, height };
}

/** Ellipse through half axes a and b as a polygon of exactly the same area, so that cut regions add up to it. */
function ovalRing(cx: number, cy: number, a: number, b: number, sides: number): Ring {
  const step = (2 * Math.PI) / sides;
  const swell = Math.sqrt(step / Math.sin(step));
  return Array.from({ length: sides }, (_, i) => ({ x: cx + a * swell * Math.cos(i * step), y: cy + b * swell * Math.sin(i * step) }));
}

/** The rim of a shape as a polygon, mm. */
export function rimRing(shape: Shape): Ring {
  const { width: w, height: h } = bounds(shape);
  if (shape.kind === 'rectangle')
    return [
      { x: 0, y: 0 },
      { x: w, y: 0 },
      { x: w, y: h },
      { x: 0, y: h },
    ];
  return ovalRing(w / 2, h / 2, w / 2, h / 2, OVAL_SIDES);
}

export const holeRing = (hole: Hole): Ring => ovalRing(hole.x, hole.y, hole.diameter / 2, hole.diameter / 2, 48);

/** Area of a shape's face without its holes, mm², in closed form. Holes are taken to lie inside and apart. */
export function outlineArea(shape: Shape, holes: Hole[] = []): number {
  const { width: w, height: h } = bounds(shape);
  const face = shape.kind === 'rectangle' ? w * h : (Math.PI * w * h) / 4;
  return holes.reduce((left, hole) => left - (Math.PI * hole.diameter ** 2) / 4, face);
}

/**
 * Length of a shape's outer rim, mm. An ellipse by the arithmetic–geometric mean (Borwein and Borwein, *Pi and the
 * AGM*, 1987), exact to rounding.
 */
export function rimLength(shape: Shape): number {
  const { width: w, height: h } = bounds(shape);
  if (shape.kind === 'rectangle') return 2 * (w + h);
  let [a, b] = [Math.max(w, h) / 2, Math.min(w, h) / 2];
  let [sum, power] = [a * a - (a * a - b * b) / 2, 1];
  while (a - b > 1e-12 * a) {
    const c = (a - b) / 2;
    [a, b] = [(a + b) / 2, Math.sqrt(a * b)];
    sum -= power * c * c;
    power *= 2;
  }
  return (2 * Math.PI * sum) / a;
}
