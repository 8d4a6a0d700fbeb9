import type { Hole, Point, Sea, Shape } from '#core/document';
import { areaOf, common, lengthShared, linesInside, toPaths, toRings, without, type Paths } from './clip';
import { lineLength, shifted, smoothCurve } from './curve';
import { bounds, holeRing, rimRing, type Ring } from './outline';

/** A part of the board between two drawn curves. */
export interface Region {
  /** Polygons, outer rings and holes alike, mm (fill by the non-zero rule). */
  rings: Ring[];
  /** mm² */
  area: number;
  /** How much of the outer rim it has, mm. */
  rim: number;
}

/** A board cut by its sea: the beach, and the parts of the sea from the shore seaward. */
export interface Cut {
  beach: Region;
  sea: Region[];
  /** The shoreline inside the outline, mm, and its pieces. */
  shoreLength: number;
  shore: Point[][];
  /** True where an edge lies landward of the one before it; regions still add up. */
  crossed: boolean;
}

/** Everything seaward of a curve: the curve closed round a box far outside the board. */
function seaward(curve: Point[], side: Sea['side'], box: { width: number; height: number }): Ring {
  const far = box.width + box.height + 1000;
  const [first, last] = [curve[0]!, curve.at(-1)!];
  const y = side === 'far' ? -far : box.height + far;
  return [{ x: -far, y: first.y }, ...curve, { x: box.width + far, y: last.y }, { x: box.width + far, y }, { x: -far, y }];
}

const region = (paths: Paths, rim: Paths[number]): Region => ({
  rings: toRings(paths),
  area: areaOf(paths),
  rim: lengthShared(paths, rim),
});

/**
 * Cuts a board by its shoreline and tint edges. Each region is what lies seaward of its curve and not of the next one,
 * so that beach and sea add up to the outline whatever the curves do.
 */
export function cutBoard(shape: Shape, holes: Hole[], sea: Sea): Cut {
  const box = bounds(shape);
  const rim = toPaths([rimRing(shape)]);
  const board = without(rim, toPaths(holes.map(holeRing)));
  const curves = [sea.shoreline, ...sea.edges].map(curveOf);
  const seas = curves.map((curve) => toPaths([seaward(curve, sea.side, box)]));

  const waters: Paths[] = [];
  for (const beyond of seas) waters.push(common(waters.at(-1) ?? board, beyond));
  const shore = linesInside([curves[0]!], board);
  return {
    beach: region(without(board, seas[0]!), rim[0]!),
    sea: waters.map((water, i) => region(i + 1 < seas.length ? without(water, seas[i + 1]!) : water, rim[0]!)),
    shoreLength: shore.reduce((sum, line) => sum + lineLength(line), 0),
    shore,
    crossed: curves.some((curve, i) => i > 0 && landward(curve, curves[i - 1]!, sea.side, box.width)),
  };
}

/** Curves are smoothed once for each list of points; a drag changes one list and leaves the others. */
const smoothed = new WeakMap<Point[], Point[]>();

function curveOf(points: Point[]): Point[] {
  let curve = smoothed.get(points);
  if (!curve) smoothed.set(points, (curve = smoothCurve(points)));
  return curve;
}

/** Height of a curve that runs from left to right, at x; beyond its ends it runs level. */
function heightAt(curve: Point[], x: number): number {
  const next = curve.findIndex((p) => p.x >= x);
  if (next <= 0) return (next === 0 ? curve[0]! : curve.at(-1)!).y;
  const [a, b] = [curve[next - 1]!, curve[next]!];
  return a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x);
}

/** Whether a curve somewhere on the board lies landward of the one that should be on its land side. */
function landward(curve: Point[], before: Point[], side: Sea['side'], width: number): boolean {
  const down = side === 'far' ? 1 : -1;
  return [...curve, ...before].some(({ x }) => x >= 0 && x <= width && down * (heightAt(curve, x) - heightAt(before, x)) > 0.01);
}

/**
 * The strip of foam along the shore, in the parts that lie on the beach and on each part of the sea, mm.
 * @param reachSea how far it goes seaward of the shoreline, mm
 * @param reachUp  how far it washes up the beach, mm
 */
export function foamParts(cut: Cut, sea: Sea, reachSea: number, reachUp: number): { beach: Ring[]; sea: Ring[][] } {
  const line = curveOf(sea.shoreline);
  const out = sea.side === 'far' ? 1 : -1;
  const strip = [...shifted(line, out * reachSea), ...shifted(line, -out * reachUp).reverse()];
  const on = (part: Region): Ring[] => toRings(common(toPaths(part.rings), toPaths([strip])));
  return { beach: on(cut.beach), sea: cut.sea.map(on) };
}
