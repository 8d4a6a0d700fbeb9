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

/** How far beyond the board a curve is run on, mm: level from its ends, past anything that could be on the board. */
const BEYOND = 10_000;

const runOn = (curve: Point[]): Point[] => [{ x: -BEYOND, y: curve[0]!.y }, ...curve, { x: BEYOND, y: curve.at(-1)!.y }];

/** A level line far off the board on its sea side, or on its land side. */
const faroff = (side: Sea['side'], seaward: boolean): Point[] => {
  const y = (side === 'far') === seaward ? -BEYOND : BEYOND;
  return [
    { x: -BEYOND, y },
    { x: BEYOND, y },
  ];
};

const between = (a: Point[], b: Point[]): Ring => [...a, ...[...b].reverse()];

/** The beach and the parts of the sea as strips between neighbouring curves, which do not cross. */
function strips(board: Paths, curves: Point[][], side: Sea['side']): Paths[] {
  const lines = [faroff(side, false), ...curves.map(runOn), faroff(side, true)];
  return lines.slice(1).map((line, i) => common(board, toPaths([between(lines[i]!, line)])));
}

/** The same where curves cross: each part is what lies seaward of all curves so far and not of the next. */
function nested(board: Paths, curves: Point[][], side: Sea['side']): Paths[] {
  const seas = curves.map((curve) => toPaths([between(runOn(curve), faroff(side, true))]));
  const waters: Paths[] = [board];
  for (const sea of seas) waters.push(common(waters.at(-1)!, sea));
  return waters.map((water, i) => (i < seas.length ? without(water, seas[i]!) : water));
}

const region = (paths: Paths, rim: Paths[number]): Region => ({
  rings: toRings(paths),
  area: areaOf(paths),
  rim: lengthShared(paths, rim),
});

/** Cuts a board by its shoreline and tint edges into regions that add up to the outline, whatever the curves do. */
export function cutBoard(shape: Shape, holes: Hole[], sea: Sea): Cut {
  const rim = toPaths([rimRing(shape)]);
  const board = without(rim, toPaths(holes.map(holeRing)));
  const curves = [sea.shoreline, ...sea.edges].map(curveOf);
  const crossed = curves.some((curve, i) => i > 0 && landward(curve, curves[i - 1]!, sea.side, bounds(shape).width));
  const [beach, ...parts] = (crossed ? nested : strips)(board, curves, sea.side).map((paths) => region(paths, rim[0]!));
  const shore = linesInside([curves[0]!], board);
  return { beach: beach!, sea: parts, shoreLength: shore.reduce((sum, line) => sum + lineLength(line), 0), shore, crossed };
}

/** Curves are smoothed once for each list of points; a drag changes one list and leaves the others. */
const smoothed = new WeakMap<Point[], Point[]>();

function curveOf(points: Point[]): Point[] {
  let curve = smoothed.get(points);
  if (!curve) smoothed.set(points, (curve = smoothCurve(points)));
  return curve;
}

/** Height of a curve that runs from left to right, at x, by bisection; beyond its ends it runs level. */
function heightAt(curve: Point[], x: number): number {
  let [low, high] = [0, curve.length - 1];
  if (x <= curve[low]!.x) return curve[low]!.y;
  if (x >= curve[high]!.x) return curve[high]!.y;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (curve[middle]!.x <= x) low = middle;
    else high = middle;
  }
  const [a, b] = [curve[low]!, curve[high]!];
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
