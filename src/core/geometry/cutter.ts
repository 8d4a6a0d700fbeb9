import { landOnRight, linesOf, type Hole, type Point, type Sea, type Shape } from '#core/document';
import { allowances, CutError, lent } from './allowance';
import { blamed } from './blamed';
import { common, joinedPaths, toPaths, turned, widened, without, type Paths } from './clip';
import { crossesItself, lineLength, lineOf } from './curve';
import { linesInside } from './lines-inside';
import { landRing, nested, type Shore } from './nested';
import { inOrder } from './order';
import { bounds, measured, type Measured } from './outline';
import { faceOf, nowhere, regionOf, type Cut, type Face, type Region } from './regions';
import { lengthwise, type Box } from './sides';

/** What takes resin, and what stays bare beyond the edge of the resin, if one is drawn. */
interface Cover {
  paths: Paths;
  wide: Paths;
  region: Region;
  bare: Region;
}

/** A strip between two curves, and what it was cut from. */
interface Strip {
  landward: Point[] | undefined;
  cover: Cover;
  side: Sea['side'];
  region: Region;
}

/**
 * Cuts boards by their seas, and keeps what it made of each shape and each curve for as long as they are the same objects:
 * a drag changes one curve and leaves the others. Whoever owns one decides how long that is; the results are the same as of
 * one made anew.
 */
export class Cutter {
  readonly #open = new WeakMap<Point[], Point[]>();
  readonly #rings = new WeakMap<Point[], Point[]>();
  readonly #tangles = new WeakMap<Point[], boolean>();
  readonly #measured = new WeakMap<Shape, Measured>();
  readonly #faces = new WeakMap<Shape, { holes: string; face: Face }>();
  readonly #wholes = new WeakMap<Face, Cover>();
  readonly #covers = new WeakMap<Point[], { face: Face; side: Sea['side']; cover: Cover }>();
  readonly #strips = new WeakMap<Point[], Strip>();
  readonly #cuts = new WeakMap<Sea, { face: Face; cut: Cut | CutError }>();

  /** A shape's polygons, area and rim. @throws CutError where a free outline is too tangled */
  measured(shape: Shape): Measured {
    let found = this.#measured.get(shape);
    if (!found) this.#measured.set(shape, (found = measured(shape)));
    return found;
  }

  /**
   * Cuts a board by its shores and tint edges into regions that add up to what takes resin, whatever the curves do. One
   * shore whose curves run from side to side in order is cut strip by strip, each kept until its own curves change.
   * @throws CutError naming the curve, where they are so tangled that it would take too long
   */
  cut(shape: Shape, holes: Hole[], sea: Sea): Cut {
    const face = this.#faceOf(shape, holes);
    let kept = this.#cuts.get(sea);
    if (kept?.face !== face) this.#cuts.set(sea, (kept = { face, cut: this.#cutOrError(face, shape, sea) }));
    if (kept.cut instanceof CutError) throw kept.cut;
    return kept.cut;
  }

  #cutOrError(face: Face, shape: Shape, sea: Sea): Cut | CutError {
    try {
      return lent(allowances.cut, () => this.#cutAnew(face, bounds(shape), sea));
    } catch (error) {
      const named = blamed(error, sea);
      if (named instanceof CutError) return named;
      throw named;
    }
  }

  /** A curve as a smooth line. A curve that was open and is closed is another line. */
  #line(points: Point[], closed: boolean): Point[] {
    const kept = closed ? this.#rings : this.#open;
    let line = kept.get(points);
    if (!line) kept.set(points, (line = lineOf(points, closed)));
    return line;
  }

  #isTangled(points: Point[], closed: boolean): boolean {
    const line = this.#line(points, closed);
    let found = this.#tangles.get(line);
    if (found === undefined) this.#tangles.set(line, (found = crossesItself(line, closed)));
    return found;
  }

  #faceOf(shape: Shape, holes: Hole[]): Face {
    const open = holes.filter((hole) => !hole.filled);
    const key = open.map((h) => `${h.x} ${h.y} ${h.diameter}`).join();
    let kept = this.#faces.get(shape);
    if (kept?.holes !== key) this.#faces.set(shape, (kept = { holes: key, face: faceOf(this.measured(shape).rings, open) }));
    return kept.face;
  }

  #coverOf(face: Face, sea: Sea, box: Box): Cover {
    if (!sea.bare) {
      let whole = this.#wholes.get(face);
      if (!whole)
        this.#wholes.set(face, (whole = { paths: face.board, wide: face.wide, region: regionOf(face.board, face), bare: nowhere }));
      return whole;
    }
    const kept = this.#covers.get(sea.bare);
    if (kept && kept.face === face && kept.side === sea.side) return kept.cover;
    const shore = { closed: false, right: landOnRight(sea.side) };
    const land = turned(toPaths([landRing(shore, this.#line(sea.bare, false), box, lengthwise(sea.side))]));
    const paths = without(face.board, land);
    const cover = { paths, wide: widened(paths), region: regionOf(paths, face), bare: regionOf(common(face.board, land), face) };
    this.#covers.set(sea.bare, { face, side: sea.side, cover });
    return cover;
  }

  #shoresOf(sea: Sea): Shore[] {
    const lines = (curves: Point[][], closed: boolean): Point[][] => curves.map((points) => this.#line(points, closed));
    return [
      { line: this.#line(sea.shoreline, false), edges: lines(sea.edges, false), closed: false, right: landOnRight(sea.side) },
      ...(sea.coasts ?? []).map(({ points, edges, closed }) => ({
        line: this.#line(points, closed),
        edges: lines(edges, closed),
        closed,
        right: true,
      })),
    ];
  }

  /** What lies between two curves that do not cross, or beyond the last of them. */
  #strip(face: Face, cover: Cover, side: Sea['side'], box: Box, landward: Point[] | undefined, seaward: Point[] | undefined): Region {
    const kept = seaward && this.#strips.get(seaward);
    if (kept && kept.landward === landward && kept.cover === cover && kept.side === side) return kept.region;
    const shore = { closed: false, right: landOnRight(side) };
    const land = (points: Point[]): Paths => turned(toPaths([landRing(shore, this.#line(points, false), box, lengthwise(side))]));
    const inner = landward && land(landward);
    const paths = seaward
      ? common(cover.paths, [...land(seaward), ...(inner ?? []).map((path) => [...path].reverse())])
      : without(cover.paths, inner ?? []);
    const region = regionOf(paths, face);
    if (seaward) this.#strips.set(seaward, { landward, cover, side, region });
    return region;
  }

  #cutAnew(face: Face, box: Box, sea: Sea): Cut {
    const cover = this.#coverOf(face, sea, box);
    const shores = this.#shoresOf(sea);
    const curves = [sea.shoreline, ...sea.edges];
    const order = inOrder([shores[0]!.line, ...shores[0]!.edges], sea.side, box);
    const { regions, crossed } =
      order.oneWay && !order.crossed && shores.length === 1
        ? {
            regions: [undefined, ...curves].map((curve, i) => this.#strip(face, cover, sea.side, box, curve, curves[i])),
            crossed: false,
          }
        : this.#nested(face, cover, shores, sea, box);
    const carved = this.#carved(face, cover, sea, box, regions);
    const shore = linesInside(
      shores.map(({ line, closed }) => (closed ? [...line, line[0]!] : line)),
      carved.wide,
    );
    return {
      cover: cover.region,
      bare: cover.bare,
      beach: carved.regions[0]!,
      sea: carved.regions.slice(1),
      areas: carved.areas,
      shoreLength: shore.reduce((sum, line) => sum + lineLength(line), 0),
      shore,
      crossed: crossed || order.crossed,
      // a breaker may cross itself: nothing is cut by it
      tangled: linesOf(sea).flatMap(({ key, points, closed }) =>
        !key.startsWith('breaker') && this.#isTangled(points, closed) ? [key] : [],
      ),
      face,
    };
  }

  /** Beach and sea without the areas of sky and land, and those; where areas overlap, it is the first one's. */
  #carved(face: Face, cover: Cover, { areas = [] }: Sea, box: Box, regions: Region[]): { regions: Region[]; areas: Region[]; wide: Paths } {
    if (!areas.length) return { regions, areas: [], wide: cover.wide };
    let taken: Paths = [];
    const own = areas.map(({ points, closed }) => {
      const [first, last] = [points[0]!, points.at(-1)!];
      const upright = Math.abs(last.y - first.y) > Math.abs(last.x - first.x);
      const ring = turned(toPaths([landRing({ closed, right: true }, this.#line(points, closed), box, upright)]));
      const paths = without(common(cover.paths, ring), taken);
      taken = joinedPaths([...taken, ...paths]);
      return regionOf(paths, face);
    });
    return {
      areas: own,
      regions: regions.map((region) => regionOf(without(toPaths(region.rings), taken), face)),
      wide: widened(without(cover.paths, taken)),
    };
  }

  #nested(face: Face, cover: Cover, shores: Shore[], sea: Sea, box: Box): { regions: Region[]; crossed: boolean } {
    const { parts, crossed } = nested(cover.paths, shores, sea.edges.length, box, lengthwise(sea.side));
    return { regions: parts.map((paths) => regionOf(paths, face)), crossed };
  }
}

/** Cuts one board by its sea. @throws CutError naming the curve, where they are so tangled that it would take too long */
export const cutBoard = (shape: Shape, holes: Hole[], sea: Sea): Cut => new Cutter().cut(shape, holes, sea);
