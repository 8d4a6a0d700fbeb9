import type { Piece, Point, Shape } from './schema';

/** Width and height of a shape's bounds, mm. */
export const boxOf = (shape: Shape): [number, number] =>
  shape.kind === 'round' ? [shape.diameter, shape.diameter] : [shape.width, shape.height];

/**
 * A piece put on another shape: its sea is stretched with the board, so that the drawing stays what it was.
 * Holes keep their place and size in mm.
 */
export function withShape(piece: Piece, shape: Shape): Piece {
  const [w0, h0] = boxOf(piece.shape);
  const [w, h] = boxOf(shape);
  if (w === w0 && h === h0) return { ...piece, shape };
  const fit = (p: Point): Point => ({ x: (p.x * w) / w0, y: (p.y * h) / h0 });
  const { side, shoreline, edges } = piece.sea;
  return { ...piece, shape, sea: { side, shoreline: shoreline.map(fit), edges: edges.map((edge) => edge.map(fit)) } };
}
