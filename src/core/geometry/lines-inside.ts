import type { Point } from '#core/document';
import { spend } from './allowance';
import { toPaths, UM, type Paths } from './clip';

/** The sides of polygons, each as x, y of its start and of its end, µm, one after the other. */
function sidesOf(paths: Paths): Float64Array {
  const sides = new Float64Array(4 * paths.reduce((sum, path) => sum + path.length, 0));
  let at = 0;
  for (const path of paths)
    path.forEach((p, i) => {
      const q = path[(i + 1) % path.length]!;
      sides.set([p.X, p.Y, q.X, q.Y], at);
      at += 4;
    });
  return sides;
}

/** Sides looked at that cost as much as a step of a sweep. */
const SIDES_A_STEP = 100;

/** How often the sides go round a point; 0 outside. */
function turnsRound(x: number, y: number, sides: Float64Array): number {
  spend(1 + sides.length / (4 * SIDES_A_STEP));
  let turns = 0;
  for (let i = 0; i < sides.length; i += 4) {
    const [ax, ay, bx, by] = [sides[i]!, sides[i + 1]!, sides[i + 2]!, sides[i + 3]!];
    if (ay > y === by > y) continue;
    const left = (bx - ax) * (y - ay) - (x - ax) * (by - ay);
    if (by > ay) turns += left > 0 ? 1 : 0;
    else turns -= left < 0 ? 1 : 0;
  }
  return turns;
}

/** Nearer than this share of a stretch to its end, a crossing is at the end. */
const AT_END = 1e-9;

/** Shares of the way from (px, py) to (qx, qy) at which it meets a side, in order; where sides meet there are two of a place. */
function meetings(px: number, py: number, qx: number, qy: number, sides: Float64Array): number[] {
  const [left, right, top, bottom] = [Math.min(px, qx), Math.max(px, qx), Math.min(py, qy), Math.max(py, qy)];
  const found: number[] = [];
  for (let i = 0; i < sides.length; i += 4) {
    const ax = sides[i]!;
    const bx = sides[i + 2]!;
    if ((ax < left && bx < left) || (ax > right && bx > right)) continue;
    const ay = sides[i + 1]!;
    const by = sides[i + 3]!;
    if ((ay < top && by < top) || (ay > bottom && by > bottom)) continue;
    const across = (qx - px) * (by - ay) - (qy - py) * (bx - ax);
    if (across === 0) continue;
    const along = ((ax - px) * (by - ay) - (ay - py) * (bx - ax)) / across;
    const ofSide = ((ax - px) * (qy - py) - (ay - py) * (qx - px)) / across;
    if (along < -AT_END || along > 1 + AT_END || ofSide < -AT_END || ofSide > 1 + AT_END) continue;
    spend();
    found.push(along);
  }
  return found.sort((a, b) => a - b);
}

/**
 * The parts of open lines that lie inside polygons by the non-zero rule, as polylines in the lines' own direction, mm. The
 * clipper's own cut of open lines has no end where a point is doubled, and turns level runs round, so lines are cut here.
 * @param paths widened, where a line along the rim counts
 * @throws CutError where they cross too often
 */
export function linesInside(lines: Point[][], paths: Paths): Point[][] {
  const sides = sidesOf(paths);
  const parts: Point[][] = [];
  for (const line of toPaths(lines)) {
    let part: Point[] | undefined;
    /** Whether the line is inside where it has come to; not known at its start and after each meeting. */
    let inside: boolean | undefined;
    for (let i = 1; i < line.length; i++) {
      const [{ X: px, Y: py }, { X: qx, Y: qy }] = [line[i - 1]!, line[i]!];
      if (px === qx && py === qy) continue;
      const at = (share: number): Point => ({ x: (px + share * (qx - px)) / UM, y: (py + share * (qy - py)) / UM });
      let from = 0;
      for (const meeting of [...meetings(px, py, qx, qy, sides), undefined]) {
        const to = meeting === undefined ? 1 : Math.min(1, meeting);
        if (to - from > AT_END) {
          const middle = (from + to) / 2;
          inside ??= turnsRound(px + middle * (qx - px), py + middle * (qy - py), sides) !== 0;
          if (inside) (part ??= [at(from)]).push(at(to));
          else if (part) {
            parts.push(part);
            part = undefined;
          }
          from = to;
        }
        if (meeting !== undefined) inside = undefined;
      }
    }
    if (part) parts.push(part);
  }
  return parts;
}
