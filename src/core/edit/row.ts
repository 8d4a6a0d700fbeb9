import { boxOf, type Piece, type Point, type Sea } from '#core/document';
import { lineOf } from '#core/geometry';
import { withEdgesOf } from './parts';
import { tenth } from './tenth';

/** Pieces that hang side by side, and where each begins along the row, mm. */
export interface Placed {
  piece: Piece;
  at: number;
}

/** The row a piece hangs in, from left to right: those at its left one after another, and those that name it or them. */
export function rowOf(piece: Piece, pieces: Piece[]): Placed[] {
  const row: Piece[] = [piece];
  for (;;) {
    const left = pieces.find((p) => p.id === row[0]!.beside?.pieceId);
    if (!left || row.includes(left)) break;
    row.unshift(left);
  }
  for (;;) {
    const right = pieces.find((p) => p.beside?.pieceId === row.at(-1)!.id && !row.some((r) => r.id === p.id));
    if (!right) break;
    row.push(right);
  }
  let at = 0;
  return row.map((p, i) => {
    if (i > 0) at += boxOf(row[i - 1]!.shape)[0] + (p.beside?.gap ?? 0);
    return { piece: p, at };
  });
}

/** Height of a curve at x, run straight on beyond its ends; the first place where it passes x. */
function heightOf(line: Point[], x: number): number {
  for (let i = 0; i + 1 < line.length; i++) {
    const [a, b] = [line[i]!, line[i + 1]!];
    if ((a.x <= x && x <= b.x) || (b.x <= x && x <= a.x)) return a.x === b.x ? a.y : a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x);
  }
  const [p, q] = x < line[0]!.x ? [line[0]!, line[1]!] : [line.at(-1)!, line.at(-2)!];
  return p.x === q.x ? p.y : p.y + ((q.y - p.y) * (x - p.x)) / (q.x - p.x);
}

const curvesOf = (sea: Sea): Point[][] => [sea.shoreline, ...sea.edges];
const crosswise = (piece: Piece): boolean => piece.sea.side === 'far' || piece.sea.side === 'near';

/** How one curve of two neighbours meets half way across the gap between them. */
export interface Join {
  /** Name of the neighbour. */
  other: string;
  /** 0 for the shoreline, then the edges. */
  curve: number;
  /** How much lower the right one lies, mm. */
  jump: number;
}

/** How the curves of a piece meet those of its neighbours. Seas that lie on different sides do not meet at all. */
export function joinsOf(piece: Piece, pieces: Piece[]): Join[] {
  const row = rowOf(piece, pieces);
  const index = row.findIndex((r) => r.piece.id === piece.id);
  const pair = (left: Placed | undefined, right: Placed | undefined, other: Piece): Join[] => {
    if (!left || !right || left.piece.sea.side !== right.piece.sea.side || !crosswise(left.piece)) return [];
    const [a, b] = [curvesOf(left.piece.sea), curvesOf(right.piece.sea)];
    const width = boxOf(left.piece.shape)[0];
    const gap = right.at - left.at - width;
    return a.slice(0, b.length).map((line, curve) => ({
      other: other.name,
      curve,
      jump: heightOf(lineOf(b[curve]!), -gap / 2) - heightOf(lineOf(line), width + gap / 2),
    }));
  };
  const [left, own, right] = [row[index - 1], row[index], row[index + 1]];
  return [...(left ? pair(left, own, left.piece) : []), ...(right ? pair(own, right, right.piece) : [])];
}

/** A piece whose curves are bent at their ends so that they meet its neighbours’. */
export function meetingNeighbours(piece: Piece, pieces: Piece[]): Piece {
  const row = rowOf(piece, pieces);
  const index = row.findIndex((r) => r.piece.id === piece.id);
  const [w, h] = boxOf(piece.shape);
  const meet = (points: Point[], curve: number): Point[] => {
    const next = [...points];
    for (const [neighbour, end, x] of [
      [row[index - 1], 0, 0],
      [row[index + 1], points.length - 1, w],
    ] as const) {
      const line = neighbour && neighbour.piece.sea.side === piece.sea.side ? curvesOf(neighbour.piece.sea)[curve] : undefined;
      if (!line || !neighbour) continue;
      const y = heightOf(lineOf(line), row[index]!.at + x - neighbour.at);
      next[end] = { x, y: tenth(Math.min(h, Math.max(0, y))) };
    }
    return next;
  };
  if (!crosswise(piece)) return piece;
  return { ...piece, sea: { ...piece.sea, shoreline: meet(piece.sea.shoreline, 0), edges: piece.sea.edges.map((e, i) => meet(e, i + 1)) } };
}

/** Points with which each board of a row takes up its stretch of one curve. */
const POINTS = 5;

/**
 * One sea run across a whole row: the sea of one piece is stretched to the row's length, gaps and all, and each board
 * takes what lies over it. Gives the pieces changed.
 */
export function acrossRow(piece: Piece, pieces: Piece[]): Piece[] {
  const row = rowOf(piece, pieces);
  if (row.length < 2 || !crosswise(piece)) return [];
  const last = row.at(-1)!;
  const [w, h] = boxOf(piece.shape);
  const stretch = (last.at + boxOf(last.piece.shape)[0]) / w;
  const lines = curvesOf(piece.sea).map((points) => lineOf(points).map((p) => ({ x: p.x * stretch, y: p.y / h })));
  return row.map(({ piece: p, at }) => {
    const [width, height] = boxOf(p.shape);
    const curves = lines.map((line) =>
      Array.from({ length: POINTS }, (_, i) => {
        const x = (width * i) / (POINTS - 1);
        return { x: tenth(x), y: tenth(Math.min(height, Math.max(0, heightOf(line, at + x) * height))) };
      }),
    );
    return withEdgesOf(p, { side: piece.sea.side, shoreline: curves[0]!, edges: curves.slice(1) });
  });
}
