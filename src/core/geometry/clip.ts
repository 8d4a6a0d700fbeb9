import { Clipper, Clipper64, ClipType, EndType, FillRule, JoinType, type Paths64 } from 'clipper2-ts';
import type { Point } from '#core/document';
import type { Ring } from './shapes/ring';

/** Polygons in whole µm, the form the clipper computes in without rounding trouble. */
export type Paths = Paths64;

const UM = 1000;

export const toPaths = (rings: Ring[]): Paths =>
  rings.map((ring) => ring.map((p) => ({ x: Math.round(p.x * UM), y: Math.round(p.y * UM) })));
export const toRings = (paths: Paths): Ring[] => paths.map((path) => path.map((p) => ({ x: p.x / UM, y: p.y / UM })));

export const common = (a: Paths, b: Paths): Paths => Clipper.intersect(a, b, FillRule.NonZero);
export const without = (a: Paths, b: Paths): Paths => (b.length ? Clipper.difference(a, b, FillRule.NonZero) : a);

export const joinedPaths = (paths: Paths): Paths => Clipper.union(paths, FillRule.NonZero);

/** Closed polygons by the even-odd rule, with what crosses itself resolved. */
export const cleaned = (rings: Ring[]): Paths => Clipper.union(toPaths(rings), FillRule.EvenOdd);

/** The outer rings among polygons that came out of the clipper. */
export const outersOf = (paths: Paths): Paths => paths.filter((path) => Clipper.area(path) > 0);

/** Every polygon turned the same way round, so that where they overlap the non-zero rule joins them. */
export const turned = (paths: Paths): Paths => paths.map((path) => (Clipper.area(path) < 0 ? [...path].reverse() : path));

/** Polygons grown by `by` mm on all sides, or shrunk where it is negative; corners are rounded. */
export const grown = (paths: Paths, by: number): Paths =>
  by === 0 || !paths.length ? paths : Clipper.inflatePaths(paths, by * UM, JoinType.Round, EndType.Polygon, 2, 20);

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

/** How near a vertex must be to a side to lie on it, µm: the clipper rounds to whole ones, where sides meet flatly more than once. */
const ON = 5;

/** Whether p lies on the side a–b of a polygon. The box is tried first, since almost every side fails it. */
function onSide(px: number, py: number, a: Vertex, b: Vertex): boolean {
  if (px < Math.min(a.x, b.x) - ON || px > Math.max(a.x, b.x) + ON) return false;
  if (py < Math.min(a.y, b.y) - ON || py > Math.max(a.y, b.y) + ON) return false;
  const dx = b.x - a.x;
  const dy = b.y - a.y;
  return Math.abs((px - a.x) * dy - (py - a.y) * dx) < ON * Math.sqrt(dx * dx + dy * dy);
}

/** The sides of a rim a vertex may lie on: its two where it is a corner, else those whose line it is on, which near a corner are two. */
function sidesOf(p: Vertex, rim: Path, corners: Map<number, number>): number[] {
  const last = rim.length - 1;
  const corner = corners.get(keyOf(p));
  if (corner !== undefined) return [corner, (corner || rim.length) - 1];
  const isOn = (i: number): boolean => onSide(p.x, p.y, rim[i]!, rim[i + 1] ?? rim[0]!);
  for (let i = 0; i <= last; i++) if (isOn(i)) return [i, i === 0 ? last : i - 1, i === last ? 0 : i + 1].filter(isOn);
  return [];
}

const keyOf = (p: Vertex): number => p.x * 1e8 + p.y;

/**
 * Length of the boundary that polygons cut from a rim still share with it, mm. The clipper keeps the rim's own
 * vertices, so an edge of a cut polygon is on the rim when both its ends are on one of the rim's sides.
 */
export const lengthShared = (paths: Paths, rims: Paths): number => rims.reduce((sum, rim) => sum + sharedWith(paths, rim), 0);

function sharedWith(paths: Paths, rim: Path): number {
  const corners = new Map(rim.map((p, i) => [keyOf(p), i]));
  let total = 0;
  for (const path of paths) {
    const sides = path.map((p) => sidesOf(p, rim, corners));
    path.forEach((p, k) => {
      const next = k + 1 < path.length ? k + 1 : 0;
      const q = path[next]!;
      const shared =
        sides[k]!.some((i) => onSide(q.x, q.y, rim[i]!, rim[i + 1] ?? rim[0]!)) ||
        sides[next]!.some((i) => onSide(p.x, p.y, rim[i]!, rim[i + 1] ?? rim[0]!));
      if (shared) total += Math.hypot(q.x - p.x, q.y - p.y);
    });
  }
  return total / UM;
}

/** Polygons tidied: by the even-odd rule, what crosses itself resolved, and points that stray less than `by` mm left out. */
export const cleanRings = (rings: Ring[], by: number): Ring[] =>
  toRings(Clipper.simplifyPaths(cleaned(rings), by * UM, true)).filter((ring) => ring.length > 2);

/** Polygons cut in two by others, mm. */
export function partition(rings: Ring[], by: Ring[]): { inside: Ring[]; outside: Ring[] } {
  const [own, other] = [toPaths(rings), toPaths(by)];
  return { inside: toRings(common(own, other)), outside: toRings(without(own, other)) };
}
