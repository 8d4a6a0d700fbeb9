import { boxOf, mapSea, type Piece, type Sea, type Shape } from '#core/document';

/** A sea drawn for one box, mm, stretched to another. */
export const fittedSea = (sea: Sea, [w0, h0]: [number, number], [w, h]: [number, number]): Sea =>
  w === w0 && h === h0 ? sea : mapSea(sea, (p) => ({ x: (p.x * w) / w0, y: (p.y * h) / h0 }));

/**
 * A piece put on another shape: its sea and its dressings are stretched with the board, so that the drawing stays what
 * it was. Holes keep their place and size in mm.
 */
export function withShape(piece: Piece, shape: Shape): Piece {
  const [from, to] = [boxOf(piece.shape), boxOf(shape)];
  return {
    ...piece,
    shape,
    sea: fittedSea(piece.sea, from, to),
    ...(piece.dressings && { dressings: piece.dressings.map((d) => ({ ...d, x: (d.x * to[0]) / from[0], y: (d.y * to[1]) / from[1] })) }),
  };
}
