import type { Point } from '#core/document';

/** Closed polygon, mm, without the first point repeated. */
export type Ring = Point[];

/** Chords that stand for a quarter turn. */
const QUARTER = 24;

/**
 * Points along an arc of an ellipse, both ends included.
 * @param from, to angles, radians, y downward
 */
export function arc(cx: number, cy: number, a: number, b: number, from: number, to: number): Point[] {
  const n = Math.max(1, Math.ceil((Math.abs(to - from) / (Math.PI / 2)) * QUARTER));
  return Array.from({ length: n + 1 }, (_, i) => {
    const angle = from + ((to - from) * i) / n;
    return { x: cx + a * Math.cos(angle), y: cy + b * Math.sin(angle) };
  });
}

/** Ellipse as a polygon of exactly the same area, so that regions cut from it add up to it. */
export function ovalRing(cx: number, cy: number, a: number, b: number, sides: number): Ring {
  const step = (2 * Math.PI) / sides;
  const swell = Math.sqrt(step / Math.sin(step));
  return Array.from({ length: sides }, (_, i) => ({ x: cx + a * swell * Math.cos(i * step), y: cy + b * swell * Math.sin(i * step) }));
}

/** Area of a polygon, mm²; positive when it runs clockwise on the screen. */
export const ringArea = (ring: Ring): number =>
  ring.reduce((sum, p, i) => {
    const q = ring[(i + 1) % ring.length]!;
    return sum + p.x * q.y - q.x * p.y;
  }, 0) / 2;

/** Length round a polygon, mm. */
export const ringLength = (ring: Ring): number =>
  ring.reduce((sum, p, i) => {
    const q = ring[(i + 1) % ring.length]!;
    return sum + Math.hypot(q.x - p.x, q.y - p.y);
  }, 0);
