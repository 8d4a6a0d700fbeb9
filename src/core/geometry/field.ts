import type { Point, Shape } from '#core/document';
import { bounds } from './outline';
import type { Region } from './regions';
import type { Ring } from './shapes/ring';

/** A grid of cells over a board, or points along a line: places at which heights are taken. */
export interface Field {
  /** Middles of the cells, mm. */
  x: Float64Array;
  y: Float64Array;
  /** Rows and columns of a grid; 1 row for a line. */
  columns: number;
  rows: number;
  /** Side of a cell, mm. */
  cell: number;
}

/** Cells along the longer side of a board, for heights. */
const FINE = 64;

/** A grid over a board. @param fine cells along its longer side */
export function fieldOf(shape: Shape, fine = FINE): Field {
  const { width, height } = bounds(shape);
  const cell = Math.max(width, height) / fine;
  const [columns, rows] = [Math.ceil(width / cell), Math.ceil(height / cell)];
  const x = new Float64Array(columns * rows);
  const y = new Float64Array(columns * rows);
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      x[r * columns + c] = (c + 0.5) * cell;
      y[r * columns + c] = (r + 0.5) * cell;
    }
  return { x, y, columns, rows, cell };
}

/** Places along a straight line from a to b, both ends included. */
export function alongLine(a: Point, b: Point, n: number): Field {
  const at = (from: number, to: number) => Float64Array.from({ length: n }, (_, i) => from + ((to - from) * i) / (n - 1));
  return { x: at(a.x, b.x), y: at(a.y, b.y), columns: n, rows: 1, cell: Math.hypot(b.x - a.x, b.y - a.y) / (n - 1) };
}

/**
 * Marks the places inside polygons with a number, row by row: where a row of middles meets a side, inside and outside
 * change places. Works for a grid; a line of points is asked one by one.
 */
export function mark(field: Field, rings: Ring[], number: number, into: Int8Array): void {
  if (field.rows === 1) {
    for (let i = 0; i < into.length; i++) if (crossingsLeft(rings, field.x[i]!, field.y[i]!) % 2 === 1) into[i] = number;
    return;
  }
  const { columns, rows, cell } = field;
  const meets: number[][] = Array.from({ length: rows }, () => []);
  for (const ring of rings)
    for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
      const [a, b] = [ring[i]!, ring[j]!];
      const [low, high] = a.y < b.y ? [a, b] : [b, a];
      const last = Math.min(rows - 1, Math.ceil(high.y / cell - 0.5) - 1);
      for (let r = Math.max(0, Math.ceil(low.y / cell - 0.5)); r <= last; r++)
        meets[r]!.push(low.x + ((high.x - low.x) * ((r + 0.5) * cell - low.y)) / (high.y - low.y));
    }
  for (let r = 0; r < rows; r++) {
    const xs = meets[r]!.sort((p, q) => p - q);
    for (let k = 0; k + 1 < xs.length; k += 2) {
      const last = Math.min(columns - 1, Math.ceil(xs[k + 1]! / cell - 0.5) - 1);
      for (let c = Math.max(0, Math.ceil(xs[k]! / cell - 0.5)); c <= last; c++) into[r * columns + c] = number;
    }
  }
}

/** Sides of polygons that a run to the left from a point meets. */
function crossingsLeft(rings: Ring[], x: number, y: number): number {
  let count = 0;
  for (const ring of rings)
    for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
      const [a, b] = [ring[i]!, ring[j]!];
      if (a.y > y !== b.y > y && x > ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) count++;
    }
  return count;
}

/** Which part each place lies in: 0 for the first region, and so on; −1 for none. */
export function partsAt(field: Field, parts: Region[]): Int8Array {
  const into = new Int8Array(field.x.length).fill(-1);
  parts.forEach((part, i) => mark(field, part.rings, i, into));
  return into;
}

/** Distance of each place from the nearest of some lines, mm; Infinity beyond `reach`. */
export function distancesTo({ x, y, columns, rows, cell }: Field, lines: Point[][], reach: number): Float64Array {
  // squares are kept until the end: a root for every place and chord would cost more than all else
  const into = new Float64Array(x.length).fill(Infinity);
  const most = reach * reach;
  for (const line of lines)
    for (let i = 0; i + 1 < line.length; i++) {
      const [a, b] = [line[i]!, line[i + 1]!];
      const [dx, dy] = [b.x - a.x, b.y - a.y];
      const long = dx * dx + dy * dy || 1;
      const onGrid = rows > 1;
      const within = (low: number, high: number, last: number): [number, number] => [
        Math.max(0, Math.floor((low - reach) / cell)),
        Math.min(last, Math.ceil((high + reach) / cell)),
      ];
      const [c0, c1] = onGrid ? within(Math.min(a.x, b.x), Math.max(a.x, b.x), columns - 1) : [0, columns - 1];
      const [r0, r1] = onGrid ? within(Math.min(a.y, b.y), Math.max(a.y, b.y), rows - 1) : [0, 0];
      for (let r = r0; r <= r1; r++)
        for (let c = c0; c <= c1; c++) {
          const k = r * columns + c;
          const [px, py] = [x[k]! - a.x, y[k]! - a.y];
          const t = Math.min(1, Math.max(0, (px * dx + py * dy) / long));
          const [ex, ey] = [px - t * dx, py - t * dy];
          const d = ex * ex + ey * ey;
          if (d <= most && d < into[k]!) into[k] = d;
        }
    }
  return into.map(Math.sqrt);
}
