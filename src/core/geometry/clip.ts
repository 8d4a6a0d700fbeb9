import { Clipper, Clipper64, ClipType, FillRule, type Paths64 } from 'clipper2-ts';
import type { Point } from '#core/document';
import type { Ring } from './outline';

/** Polygons in whole µm, the form the clipper computes in without rounding trouble. */
export type Paths = Paths64;

const UM = 1000;

export const toPaths = (rings: Ring[]): Paths =>
  rings.map((ring) => ring.map((p) => ({ x: Math.round(p.x * UM), y: Math.round(p.y * UM) })));
export const toRings = (paths: Paths): Ring[] => paths.map((path) => path.map((p) => ({ x: p.x / UM, y: p.y / UM })));

export const common = (a: Paths, b: Paths): Paths => Clipper.intersect(a, b, FillRule.NonZero);
export const without = (a: Paths, b: Paths): Paths => (b.length ? Clipper.difference(a, b, FillRule.NonZero) : a);

/** Area of polygons with holes, mm². */
export const areaOf = (paths: Paths): number => Math.abs(Clipper.areaPaths(paths)) / (UM * UM);

/** The parts of open lines that lie inside polygons, as polylines, mm. */
export function linesInside(lines: Point[][], paths: Paths): Point[][] {
  const clipper = new Clipper64();
  clipper.addOpenSubject(toPaths(lines));
  clipper.addClip(paths);
  const [closed, open]: [Paths, Paths] = [[], []];
  clipper.execute(ClipType.Intersection, FillRule.NonZero, closed, open);
  return toRings(open);
}

type Path = Paths[number];
type Vertex = Path[number];

/** Whether p lies on the side a–b of a polygon, to 2 µm. The box is tried first, since almost every side fails it. */
function onSide(p: Vertex, a: Vertex, b: Vertex): boolean {
  if ((p.x < a.x - 2 && p.x < b.x - 2) || (p.x > a.x + 2 && p.x > b.x + 2)) return false;
  if ((p.y < a.y - 2 && p.y < b.y - 2) || (p.y > a.y + 2 && p.y > b.y + 2)) return false;
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  return Math.abs((p.x - a.x) * dy - (p.y - a.y) * dx) < 2 * Math.sqrt(dx * dx + dy * dy);
}

/**
 * Length of the boundary that polygons cut from a rim still share with it, mm. The clipper keeps the rim's own
 * vertices, so an edge of a cut polygon is on the rim when both its ends are on one of the rim's sides.
 */
export function lengthShared(paths: Paths, rim: Path): number {
  const n = rim.length;
  const key = (p: Vertex): number => p.x * 1e8 + p.y;
  const corners = new Map(rim.map((p, i) => [key(p), i]));
  const onSameSide = (p: Vertex, q: Vertex, i: number): boolean => {
    const a = rim[i]!;
    const b = rim[i + 1 < n ? i + 1 : 0]!;
    return onSide(p, a, b) && onSide(q, a, b);
  };
  const onRim = (p: Vertex, q: Vertex): boolean => {
    const corner = corners.get(key(p)) ?? corners.get(key(q));
    if (corner !== undefined) return onSameSide(p, q, corner) || onSameSide(p, q, (corner || n) - 1);
    for (let i = 0; i < n; i++) if (onSameSide(p, q, i)) return true;
    return false;
  };
  let total = 0;
  for (const path of paths)
    path.forEach((p, k) => {
      const q = path[(k + 1) % path.length]!;
      if (onRim(p, q)) total += Math.hypot(q.x - p.x, q.y - p.y);
    });
  return total / UM;
}
