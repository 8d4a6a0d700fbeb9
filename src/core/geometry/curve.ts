import type { Point } from '#core/document';

const distance = (p: Point, q: Point): number => Math.hypot(q.x - p.x, q.y - p.y);

/** A point before the first or after the last, so that an end runs straight on. */
const beyond = (end: Point, next: Point): Point => ({ x: 2 * end.x - next.x, y: 2 * end.y - next.y });

/** The knots of one stretch of a centripetal Catmull–Rom curve: each the root of the chord further on. */
function knots(p0: Point, p1: Point, p2: Point, p3: Point): [number, number, number] {
  const t1 = Math.sqrt(distance(p0, p1));
  const t2 = t1 + Math.sqrt(distance(p1, p2));
  return [t1, t2, t2 + Math.sqrt(distance(p2, p3))];
}

/** One coordinate of the curve at knot value t, by the pyramid of Barry and Goldman (SIGGRAPH 1988). */
function pyramid(v0: number, v1: number, v2: number, v3: number, t1: number, t2: number, t3: number, t: number): number {
  const a1 = v0 + ((v1 - v0) * t) / t1;
  const a2 = v1 + ((v2 - v1) * (t - t1)) / (t2 - t1);
  const a3 = v2 + ((v3 - v2) * (t - t2)) / (t3 - t2);
  const b1 = a1 + ((a2 - a1) * t) / t2;
  const b2 = a2 + ((a3 - a2) * (t - t1)) / (t3 - t1);
  return b1 + ((b2 - b1) * (t - t1)) / (t2 - t1);
}

/**
 * Smooth curve through the given points, as a polyline: centripetal Catmull–Rom, which has no loops or cusps between
 * two points (Yuksel, Schaefer and Keyser 2011).
 * @param points two or more, mm, no two neighbours equal
 * @param steps  chords for each stretch between two points
 */
export function smoothCurve(points: Point[], steps = 12): Point[] {
  if (points.length < 2) throw new RangeError('a curve needs two points');
  const first = beyond(points[0]!, points[1]!);
  const last = beyond(points.at(-1)!, points.at(-2)!);
  const line: Point[] = [points[0]!];
  for (let i = 0; i + 1 < points.length; i++) {
    const [p0, p1, p2, p3] = [points[i - 1] ?? first, points[i]!, points[i + 1]!, points[i + 2] ?? last];
    const [t1, t2, t3] = knots(p0, p1, p2, p3);
    for (let k = 1; k < steps; k++) {
      const t = t1 + ((t2 - t1) * k) / steps;
      line.push({ x: pyramid(p0.x, p1.x, p2.x, p3.x, t1, t2, t3, t), y: pyramid(p0.y, p1.y, p2.y, p3.y, t1, t2, t3, t) });
    }
    line.push(p2);
  }
  return line;
}

/** Length of a polyline, mm. */
export const lineLength = (line: Point[]): number => line.slice(1).reduce((sum, p, i) => sum + distance(line[i]!, p), 0);

/**
 * The line shifted sideways, mm: positive to the left of its run (up the page for a line from left to right).
 * Good for shifts small against the line's bends.
 */
export function shifted(line: Point[], by: number): Point[] {
  return line.map((p, i) => {
    const [a, b] = [line[Math.max(0, i - 1)]!, line[Math.min(line.length - 1, i + 1)]!];
    const d = distance(a, b) || 1;
    return { x: p.x + (by * (b.y - a.y)) / d, y: p.y - (by * (b.x - a.x)) / d };
  });
}

/** Smooth closed curve through three or more points, as a polygon. */
export function smoothRing(points: Point[], steps = 12): Point[] {
  if (points.length < 3) throw new RangeError('a closed curve needs three points');
  const n = points.length;
  const around = Array.from({ length: n + 3 }, (_, i) => points[(i + n - 1) % n]!);
  // two stretches are run before and after, and only the turn between them is kept
  return smoothCurve(around, steps).slice(steps, steps + n * steps);
}

/** The smooth line of a curve of the drawing: a ring where it is closed and has the points for one. */
export const lineOf = (points: Point[], closed = false): Point[] =>
  closed && points.length > 2 ? smoothRing(points) : smoothCurve(points);

const turn = (a: Point, b: Point, c: Point): number => (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);

/** Whether two stretches cross at a point inside both. */
const crosses = (a: Point, b: Point, c: Point, d: Point): boolean => turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0;

/** Whether a line runs one way in x or in y, so that it cannot cross itself. */
const oneWay = (line: Point[]): boolean =>
  (['x', 'y'] as const).some(
    (axis) =>
      line.every((p, i) => i === 0 || p[axis] > line[i - 1]![axis]) || line.every((p, i) => i === 0 || p[axis] < line[i - 1]![axis]),
  );

/** How often a line crosses itself, counted up to `most`. @param closed whether its end runs back to its beginning */
export function crossings(line: Point[], closed = false, most = Infinity): number {
  if (!closed && oneWay(line)) return 0;
  const run = closed ? [...line, line[0]!] : line;
  let count = 0;
  for (let i = 0; i + 1 < run.length; i++)
    for (let j = i + 2; j + 1 < run.length; j++) if (crosses(run[i]!, run[i + 1]!, run[j]!, run[j + 1]!) && ++count >= most) return count;
  return count;
}

/** Whether a line crosses itself. */
export const crossesItself = (line: Point[], closed = false): boolean => crossings(line, closed, 1) > 0;
