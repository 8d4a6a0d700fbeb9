import { boxOf, limits, linesOf, type Piece, type Point, type Sea } from '#core/document';
import { tenth } from './tenth';

/** Least distance between neighbours on a curve, mm. */
const APART = 1;

const held = (value: number, min: number, max: number): number => Math.min(Math.max(value, min), max);

/** A sea with the points of one of its curves changed. @throws RangeError where it has no such curve */
function withLine(sea: Sea, key: string, change: (points: Point[]) => Point[]): Sea {
  if (!linesOf(sea).some((line) => line.key === key)) throw new RangeError(`no curve ${key}`);
  const [kind, id, index] = key.split(':');
  const at = (list: Point[][], i: number) => list.map((points, k) => (k === i ? change(points) : points));
  switch (kind) {
    case 'shoreline':
      return { ...sea, shoreline: change(sea.shoreline) };
    case 'edge':
      return { ...sea, edges: at(sea.edges, Number(id)) };
    case 'coast':
      return {
        ...sea,
        coasts: sea.coasts!.map((c) =>
          c.id !== id ? c : index === undefined ? { ...c, points: change(c.points) } : { ...c, edges: at(c.edges, Number(index)) },
        ),
      };
    case 'breaker':
      return { ...sea, breakers: sea.breakers!.map((b) => (b.id === id ? { ...b, points: change(b.points) } : b)) };
    case 'area':
      return { ...sea, areas: sea.areas!.map((a) => (a.id === id ? { ...a, points: change(a.points) } : a)) };
    default:
      return { ...sea, bare: change(sea.bare!) };
  }
}

/** The nearest place on the sides of a box. */
function onSides({ x, y }: Point, w: number, h: number): Point {
  const inside = { x: held(x, 0, w), y: held(y, 0, h) };
  const gaps = [inside.x, w - inside.x, inside.y, h - inside.y];
  const least = gaps.indexOf(Math.min(...gaps));
  return least < 2 ? { x: least === 0 ? 0 : w, y: inside.y } : { x: inside.x, y: least === 2 ? 0 : h };
}

/**
 * A piece with one point of one curve moved, to a tenth of a mm. The point stays on the board's bounds, and the ends of
 * an open shore or edge on their sides; a breaker begins and ends where it likes.
 */
export function withPoint(piece: Piece, key: string, index: number, to: Point): Piece {
  const line = linesOf(piece.sea).find((l) => l.key === key);
  if (!line?.points[index]) throw new RangeError(`no point ${index} on curve ${key}`);
  const [w, h] = boxOf(piece.shape);
  const end = !line.closed && !key.startsWith('breaker') && (index === 0 || index === line.points.length - 1);
  const at = end ? onSides(to, w, h) : { x: held(to.x, 0, w), y: held(to.y, 0, h) };
  const point = { x: tenth(at.x), y: tenth(at.y) };
  // two points in one place would leave the curve without a direction there
  const n = line.points.length;
  const neighbours = [
    line.points[index - 1] ?? (line.closed ? line.points[n - 1] : undefined),
    line.points[index + 1] ?? (line.closed ? line.points[0] : undefined),
  ];
  if (neighbours.some((p) => p && Math.hypot(p.x - point.x, p.y - point.y) < APART)) return piece;
  return { ...piece, sea: withLine(piece.sea, key, (points) => points.map((p, i) => (i === index ? point : p))) };
}

/** A piece with a point put into a curve after the one at `index`. A full curve stays as it is. */
export function withPointAdded(piece: Piece, key: string, index: number, at: Point): Piece {
  const put = (points: Point[]): Point[] =>
    points.length >= limits.curve.max
      ? points
      : [...points.slice(0, index + 1), { x: tenth(at.x), y: tenth(at.y) }, ...points.slice(index + 1)];
  return { ...piece, sea: withLine(piece.sea, key, put) };
}

/** A piece with a point taken off a curve, as long as two are left, or three of a closed one. */
export function withoutPoint(piece: Piece, key: string, index: number): Piece {
  const line = linesOf(piece.sea).find((l) => l.key === key);
  if (!line || line.points.length <= (line.closed ? 3 : 2)) return piece;
  return { ...piece, sea: withLine(piece.sea, key, (points) => points.filter((_, i) => i !== index)) };
}

/** How far a curve may be moved so that none of its points leaves the board. */
function within(points: Point[], { x, y }: Point, w: number, h: number): Point {
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  return {
    x: held(x, -Math.min(...xs), w - Math.max(...xs)),
    y: held(y, -Math.min(...ys), h - Math.max(...ys)),
  };
}

/**
 * A piece with a whole curve moved, to a tenth of a mm, as far as the board goes. The ends of an open shore or edge slide
 * along their sides, and its other points keep their place to each other.
 * @param by mm
 */
export function withLineMoved(piece: Piece, key: string, by: Point): Piece {
  const line = linesOf(piece.sea).find((l) => l.key === key);
  if (!line) throw new RangeError(`no curve ${key}`);
  const [w, h] = boxOf(piece.shape);
  const last = line.points.length - 1;
  const slides = !line.closed && !key.startsWith('breaker');
  // ends that lie on the sides hold the rest back along the shore only
  const inner = slides && last > 1 ? line.points.slice(1, last) : line.points;
  const ends = slides ? [line.points[0]!, line.points[last]!] : [];
  const free = within(inner, by, w, h);
  const along = ends.reduce((move, p) => {
    const moved = within([p], move, w, h);
    const upright = p.x === 0 || p.x === w;
    return upright ? { x: move.x, y: moved.y } : { x: moved.x, y: move.y };
  }, free);
  const points = line.points.map((p, i) => {
    const to = { x: p.x + along.x, y: p.y + along.y };
    const at = slides && (i === 0 || i === last) ? onSides(to, w, h) : to;
    return { x: tenth(at.x), y: tenth(at.y) };
  });
  const run = line.closed ? [...points, points[0]!] : points;
  if (run.some((p, i) => i > 0 && Math.hypot(p.x - run[i - 1]!.x, p.y - run[i - 1]!.y) < APART)) return piece;
  return { ...piece, sea: withLine(piece.sea, key, () => points) };
}
