import ClipperLib, { type ClipType, type IntPoint, type JoinType as Corners, type PolyFillType } from 'clipper-lib';
import simplify from 'simplify-js';
import { allowances, CutError, lent, spend } from './allowance';
import type { Ring } from './shapes/ring';

const { Clipper, ClipperOffset, ClipType: Op, PolyType, PolyFillType: Fill, JoinType, EndType } = ClipperLib;

/** Polygons in whole µm, the form the clipper computes in without rounding trouble. */
export type Paths = IntPoint[][];

/** µm in a mm. */
export const UM = 1000;

/** Polygons in mm as paths in whole µm. */
export const toPaths = (rings: Ring[]): Paths =>
  rings.map((ring) => ring.map((p) => ({ X: Math.round(p.x * UM), Y: Math.round(p.y * UM) })));
/** Paths in µm as polygons in mm. */
export const toRings = (paths: Paths): Ring[] => paths.map((path) => path.map((p) => ({ x: p.X / UM, y: p.Y / UM })));

/** Parts of the library that its types do not show: how it tells of trouble (by a window of the browser's), and its steps. */
const inner = ClipperLib as unknown as {
  Error: (message: string) => void;
  Clipper: { TopX: (...args: unknown[]) => number; prototype: { IntersectPoint: (...args: unknown[]) => unknown } };
};
inner.Error = (message) => {
  throw new Error(message);
};
// a sweep asks where each side it meets stands at each height, and where sides cross: that is all of a cut's work, and is counted
const { TopX: standsAt } = inner.Clipper;
const { IntersectPoint: crossAt } = inner.Clipper.prototype;
inner.Clipper.TopX = (...args) => {
  spend();
  return standsAt(...args);
};
inner.Clipper.prototype.IntersectPoint = function (...args) {
  spend();
  return crossAt.apply(this, args);
};

/** Grids a cut is tried on, µm: where the finest leaves the clipper without an order of the crossings, a coarser one has it. */
const GRIDS = [1, 10, 100];

const snapped = (paths: Paths, grid: number): Paths =>
  grid === 1 ? paths : paths.map((path) => path.map((p) => ({ X: Math.round(p.X / grid) * grid, Y: Math.round(p.Y / grid) * grid })));

/** Tries something grid after grid until it succeeds. @throws CutError where it never does, or costs too much */
function onGrids<T>(attempt: (grid: number) => T | undefined): T {
  return lent(allowances.cut, () => {
    let trouble: unknown;
    for (const grid of GRIDS)
      try {
        const found = attempt(grid);
        if (found !== undefined) return found;
      } catch (error) {
        // the library catches what is thrown inside it and tells of trouble of its own; the next grid then gives up at once
        if (error instanceof CutError) throw error;
        trouble = error;
      }
    throw new CutError(undefined, { cause: trouble });
  });
}

const clip = (op: ClipType, fill: PolyFillType, subject: Paths, other: Paths = []): Paths =>
  onGrids((grid) => {
    const clipper = new Clipper();
    // the rim of a board is known again in what was cut from it by its own vertices
    clipper.PreserveCollinear = true;
    // a path without an area is not taken; nothing comes of none
    if (!clipper.AddPaths(snapped(subject, grid), PolyType.ptSubject, true)) return [];
    clipper.AddPaths(snapped(other, grid), PolyType.ptClip, true);
    const out: Paths = [];
    // where sides run along each other, what has no area comes out as a polygon too
    return clipper.Execute(op, out, fill, fill) ? out.filter((path) => Clipper.Area(path) !== 0) : undefined;
  });

/** What two sets of polygons share, by the non-zero rule, as all below. @throws CutError as each of them does */
export const common = (a: Paths, b: Paths): Paths => clip(Op.ctIntersection, Fill.pftNonZero, a, b);
/** The first without the second. */
export const without = (a: Paths, b: Paths): Paths => (b.length ? clip(Op.ctDifference, Fill.pftNonZero, a, b) : a);
/** Both as one, with no edge inside. */
export const joinedPaths = (paths: Paths): Paths => clip(Op.ctUnion, Fill.pftNonZero, paths);

/** Closed polygons by the even-odd rule, with what crosses itself resolved. */
export const cleaned = (rings: Ring[]): Paths => clip(Op.ctUnion, Fill.pftEvenOdd, toPaths(rings));

/** The outer rings among polygons that came out of the clipper. */
export const outersOf = (paths: Paths): Paths => paths.filter((path) => Clipper.Area(path) > 0);

/** Every polygon turned the same way round, so that where they overlap the non-zero rule joins them. */
export const turned = (paths: Paths): Paths => paths.map((path) => (Clipper.Area(path) < 0 ? [...path].reverse() : path));

/** How far a rounded corner may stray from its arc: µm, and of its radius, so that a wide one has no more sides than a narrow one. */
const ARC = 20;
const ARC_SHARE = 0.0005;

function moved(paths: Paths, by: number, corners: Corners): Paths {
  if (by === 0 || !paths.length) return paths;
  return onGrids((grid) => {
    const offset = new ClipperOffset(2, Math.max(ARC, ARC_SHARE * Math.abs(by)));
    offset.AddPaths(snapped(paths, grid), corners, EndType.etClosedPolygon);
    const out: Paths = [];
    offset.Execute(out, by);
    return out;
  });
}

/** Polygons grown by `by` mm on all sides, or shrunk where it is negative; corners are rounded. */
export const grown = (paths: Paths, by: number): Paths => moved(paths, by * UM, JoinType.jtRound);

/** Polygons a hair wider, so that a line along their rim lies inside. */
export const widened = (paths: Paths): Paths => moved(paths, 5, JoinType.jtMiter);

/** Area of polygons with holes, mm². */
export const areaOf = (paths: Paths): number => Math.abs(paths.reduce((sum, path) => sum + Clipper.Area(path), 0)) / (UM * UM);

/** Polygons tidied: by the even-odd rule, what crosses itself resolved, and points that stray less than `by` mm left out. */
export const cleanRings = (rings: Ring[], by: number): Ring[] =>
  toRings(cleaned(rings))
    .map((ring) => simplify(ring, by))
    .filter((ring) => ring.length > 2);

/** Polygons cut in two by others, mm. */
export function partition(rings: Ring[], by: Ring[]): { inside: Ring[]; outside: Ring[] } {
  const [own, other] = [toPaths(rings), toPaths(by)];
  return { inside: toRings(common(own, other)), outside: toRings(without(own, other)) };
}
