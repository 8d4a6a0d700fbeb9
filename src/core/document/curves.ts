import { boxOf } from './board';
import type { Piece, Point } from './schema';

/** Least distance across between neighbours on a curve, mm. */
const APART = 1;

const tenth = (mm: number): number => Math.round(mm * 10) / 10;
const held = (value: number, min: number, max: number): number => Math.min(Math.max(value, min), max);

/** The curves of a piece: its shoreline, then its tint edges from the shore seaward. */
export const curvesOf = (piece: Piece): Point[][] => [piece.sea.shoreline, ...piece.sea.edges];

/**
 * A piece with one point of one curve moved, to a tenth of a mm. The point stays on the board and between its
 * neighbours; the ends of a curve stay on the board's sides.
 * @param curve 0 for the shoreline, then the edges
 */
export function withPoint(piece: Piece, curve: number, index: number, to: Point): Piece {
  const points = curvesOf(piece)[curve];
  const point = points?.[index];
  if (!points || !point) throw new RangeError(`no point ${index} on curve ${curve}`);
  const [, height] = boxOf(piece.shape);
  const [before, after] = [points[index - 1], points[index + 1]];
  const x = before && after ? held(to.x, before.x + APART, after.x - APART) : point.x;
  const moved = points.map((p, i) => (i === index ? { x: tenth(x), y: tenth(held(to.y, 0, height)) } : p));
  const { sea } = piece;
  return {
    ...piece,
    sea: curve === 0 ? { ...sea, shoreline: moved } : { ...sea, edges: sea.edges.map((edge, i) => (i === curve - 1 ? moved : edge)) },
  };
}
