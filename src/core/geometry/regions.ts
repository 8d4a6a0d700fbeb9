import { landOnRight, linesOf, type Hole, type Point, type Sea, type Shape } from '#core/document';
import { allowances, CutError, lent } from './allowance';
import { areaOf, common, joinedPaths, toPaths, toRings, turned, widened, without, type Paths } from './clip';
import { linesInside } from './lines-inside';
import { crossesItself, crossings, lineLength, smoothCurve, smoothRing } from './curve';
import { bounds, holeRing, rimRings } from './outline';
import { Rim } from './rim';
import { lengthwise, rightOf, type Box } from './sides';
import type { Ring } from './shapes/ring';

/** A part of the board. */
export interface Region {
  /** Polygons, outer rings and openings alike, mm (fill by the non-zero rule). */
  rings: Ring[];
  /** mm² */
  area: number;
  /** How much of the outer rim it has, mm. */
  rim: number;
}

/** A board cut by its sea: what stays bare, the beaches, and the parts of the sea from the shore seaward. */
export interface Cut {
  /** All that takes resin. */
  cover: Region;
  bare: Region;
  beach: Region;
  sea: Region[];
  /** Every shore inside the outline, mm, and its pieces. */
  shoreLength: number;
  shore: Point[][];
  /** True where an edge lies landward of the one before it; regions still add up. */
  crossed: boolean;
  /** Keys of the curves that cross themselves. */
  tangled: string[];
}

const smoothed = new WeakMap<Point[], Point[]>();

/** Curves are smoothed once for each list of points; a drag changes one list and leaves the others. */
export function lineOf(points: Point[], closed = false): Point[] {
  let curve = smoothed.get(points);
  if (!curve) smoothed.set(points, (curve = closed && points.length > 2 ? smoothRing(points) : smoothCurve(points)));
  return curve;
}

const tangles = new WeakMap<Point[], boolean>();
function isTangled(points: Point[], closed: boolean): boolean {
  let found = tangles.get(points);
  if (found === undefined) tangles.set(points, (found = crossesItself(lineOf(points, closed), closed)));
  return found;
}

/** The board's face and its rim, kept for each shape and its holes. */
interface Face {
  board: Paths;
  rim: Paths;
  sides: Rim;
  /** The board with its rim inside. */
  wide: Paths;
}
const faces = new WeakMap<Shape, { holes: string; face: Face }>();

export function faceOf(shape: Shape, holes: Hole[]): Face {
  const open = holes.filter((hole) => !hole.filled);
  const key = open.map((h) => `${h.x} ${h.y} ${h.diameter}`).join();
  const kept = faces.get(shape);
  if (kept?.holes === key) return kept.face;
  const rim = toPaths(rimRings(shape));
  const board = open.length ? without(rim, toPaths(open.map(holeRing))) : rim;
  const face = { rim, sides: new Rim(rim), board, wide: widened(board) };
  faces.set(shape, { holes: key, face });
  return face;
}

export const regionOf = (paths: Paths, { sides }: Pick<Face, 'sides'>): Region => ({
  rings: toRings(paths),
  area: areaOf(paths),
  rim: sides.sharedWith(paths),
});

interface Shore {
  points: Point[];
  edges: Point[][];
  closed: boolean;
  /** Whether land is on the right of its run. */
  right: boolean;
}

/** The land of one curve of a shore: inside an island, else all on its land side. */
function landRing({ closed, right }: Shore, points: Point[], box: Box, upright: boolean): Ring {
  const line = lineOf(points, closed);
  return closed ? line : rightOf(right ? line : [...line].reverse(), box, upright);
}

const shoresOf = (sea: Sea): Shore[] => [
  { points: sea.shoreline, edges: sea.edges, closed: false, right: landOnRight(sea.side) },
  ...(sea.coasts ?? []).map((c) => ({ points: c.points, edges: c.edges, closed: c.closed, right: true })),
];

/**
 * Lands of all shores at edge j, counted from the shorelines; a shore without that edge takes no part of that tint. They
 * are joined before anything is cut by them, so that a tangle is taken apart once.
 */
const landsAt = (shores: Shore[], j: number, box: Box, upright: boolean): Paths =>
  joinedPaths(
    turned(
      toPaths(
        shores.map((shore) =>
          landRing(shore, j === 0 ? shore.points : (shore.edges[Math.min(j, shore.edges.length) - 1] ?? shore.points), box, upright),
        ),
      ),
    ),
  );

/**
 * Beach and sea where shores are several or their curves run freely: each part is what lies landward of the next edges
 * and not of those before, so that the parts add up whatever the curves do.
 */
function nested(cover: Paths, shores: Shore[], n: number, box: Box, upright: boolean): { parts: Paths[]; crossed: boolean } {
  const parts: Paths[] = [];
  let water = cover;
  let crossed = false;
  let before: Paths | undefined;
  for (let j = 0; j <= n; j++) {
    const land = landsAt(shores, j, box, upright);
    if (before && areaOf(common(cover, without(before, land))) > 1) crossed = true;
    parts.push(common(water, land));
    water = without(water, land);
    before = land;
  }
  return { parts: [...parts, water], crossed };
}

const strips = new WeakMap<Point[], { other: Point[] | undefined; face: Face; cover: Paths; side: Sea['side']; region: Region }>();

/** What lies between two curves that do not cross: kept until one of them changes, since a drag moves only one. */
function stripBetween(
  face: Face,
  cover: Paths,
  side: Sea['side'],
  box: Box,
  landward: Point[] | undefined,
  seaward: Point[] | undefined,
): Region {
  const key = seaward ?? landward!;
  const other = seaward ? landward : undefined;
  const kept = seaward ? strips.get(key) : undefined;
  if (kept && kept.other === other && kept.face === face && kept.cover === cover && kept.side === side) return kept.region;
  const [upright, right] = [lengthwise(side), landOnRight(side)];
  const land = (points: Point[]): Ring => {
    const line = lineOf(points);
    return rightOf(right ? line : [...line].reverse(), box, upright);
  };
  const outer = seaward && turned(toPaths([land(seaward)]));
  const inner = landward && turned(toPaths([land(landward)]));
  const paths = outer ? common(cover, inner ? [...outer, ...inner.map((path) => [...path].reverse())] : outer) : without(cover, inner!);
  const region = regionOf(paths, face);
  if (seaward) strips.set(key, { other, face, cover, side, region });
  return region;
}

/** Whether every curve runs one way along the shore and none lies landward of the one before it. */
function inOrder(curves: Point[][], side: Sea['side'], box: Box): { oneWay: boolean; crossed: boolean } {
  const [along, across] = lengthwise(side) ? (['y', 'x'] as const) : (['x', 'y'] as const);
  const length = lengthwise(side) ? box.height : box.width;
  const lines = curves.map((points) => lineOf(points).map((p) => ({ x: p[along], y: p[across] })));
  const oneWay = lines.every(
    (line) => line.every((p, i) => i === 0 || p.x > line[i - 1]!.x) && line[0]!.x <= 0 && line.at(-1)!.x >= length,
  );
  const seaIsLess = side === 'far' || side === 'left';
  const crossed = oneWay && lines.some((line, i) => i > 0 && landward(line, lines[i - 1]!, seaIsLess ? 1 : -1, length));
  return { oneWay, crossed };
}

/** Height of a curve that runs one way in x, at x, by bisection; beyond its ends it runs level. */
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
const landward = (curve: Point[], before: Point[], sign: number, length: number): boolean =>
  [...curve, ...before].some(({ x }) => x >= 0 && x <= length && sign * (heightAt(curve, x) - heightAt(before, x)) > 0.01);

const covers = new WeakMap<Point[], { face: Face; side: Sea['side']; cover: Paths; wide: Paths; bare: Region }>();
const whole = new WeakMap<Face, Region>();

/** What takes resin and what stays bare beyond the edge of the resin, if one is drawn. */
function coverOf(face: Face, sea: Sea, box: Box): { paths: Paths; wide: Paths; region: Region; bare: Region } {
  let all = whole.get(face);
  if (!all) whole.set(face, (all = regionOf(face.board, face)));
  const none: Region = { rings: [], area: 0, rim: 0 };
  if (!sea.bare) return { paths: face.board, wide: face.wide, region: all, bare: none };
  let kept = covers.get(sea.bare);
  if (!kept || kept.face !== face || kept.side !== sea.side) {
    const line = lineOf(sea.bare);
    const land = toPaths([rightOf(landOnRight(sea.side) ? line : [...line].reverse(), box, lengthwise(sea.side))]);
    const cover = without(face.board, turned(land));
    kept = { face, side: sea.side, cover, wide: widened(cover), bare: regionOf(common(face.board, turned(land)), face) };
    covers.set(sea.bare, kept);
  }
  return { paths: kept.cover, wide: kept.wide, region: regionOf(kept.cover, face), bare: kept.bare };
}

/** Crossings of one curve with itself that are told apart from more. */
const MANY = 500;

/** An error of a cut, with the curve that crosses itself most; any other as it is. */
export function blamed(error: unknown, sea: Sea): unknown {
  if (!(error instanceof CutError) || error.curve !== undefined) return error;
  const counts = linesOf(sea).map(({ key, points, closed }) => ({ key, count: crossings(lineOf(points, closed), closed, MANY) }));
  const most = counts.reduce((a, b) => (b.count > a.count ? b : a));
  return new CutError(most.count ? most.key : undefined, { cause: error });
}

/**
 * Cuts a board by its shores and tint edges into regions that add up to what takes resin, whatever the curves do. One
 * shore whose curves run from side to side in order is cut strip by strip, each kept until its own curves change.
 * @throws CutError naming the curve, where they are so tangled that it would take too long
 */
export function cutBoard(shape: Shape, holes: Hole[], sea: Sea): Cut {
  try {
    return lent(allowances.cut, () => cut(shape, holes, sea));
  } catch (error) {
    throw blamed(error, sea);
  }
}

function cut(shape: Shape, holes: Hole[], sea: Sea): Cut {
  const face = faceOf(shape, holes);
  const box = bounds(shape);
  const { paths: cover, wide, region, bare } = coverOf(face, sea, box);
  const shores = shoresOf(sea);
  const curves = [sea.shoreline, ...sea.edges];
  const { oneWay, crossed: outOfOrder } = inOrder(curves, sea.side, box);
  const simple = oneWay && !outOfOrder && shores.length === 1;
  let parts: Region[];
  let crossed = outOfOrder;
  if (simple) parts = [undefined, ...curves].map((curve, i) => stripBetween(face, cover, sea.side, box, curve, curves[i]));
  else {
    const found = nested(cover, shores, sea.edges.length, box, lengthwise(sea.side));
    parts = found.parts.map((paths) => regionOf(paths, face));
    crossed ||= found.crossed;
  }
  const lines = shores.map(({ points, closed }) => {
    const line = lineOf(points, closed);
    return closed ? [...line, line[0]!] : line;
  });
  const shore = linesInside(lines, wide);
  const tangled = [
    ...(isTangled(sea.shoreline, false) ? ['shoreline'] : []),
    ...sea.edges.flatMap((points, i) => (isTangled(points, false) ? [`edge:${i}`] : [])),
    ...(sea.coasts ?? []).flatMap((c) => [
      ...(isTangled(c.points, c.closed) ? [`coast:${c.id}`] : []),
      ...c.edges.flatMap((points, i) => (isTangled(points, c.closed) ? [`coast:${c.id}:${i}`] : [])),
    ]),
    ...(sea.bare && isTangled(sea.bare, false) ? ['bare'] : []),
  ];
  return {
    cover: region,
    bare,
    beach: parts[0]!,
    sea: parts.slice(1),
    shoreLength: shore.reduce((sum, line) => sum + lineLength(line), 0),
    shore,
    crossed,
    tangled,
  };
}
