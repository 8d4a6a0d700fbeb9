import { startingDressings } from '#core/craft';
import { boxOf, type Dressing, type DressingKind, type Piece, type Point } from '#core/document';
import { freeId } from './ids';
import { tenth } from './tenth';

/** A dressing of a kind put on the board, at a place in mm or where there is room. */
export function withDressing(piece: Piece, kind: DressingKind, to?: Point): Piece {
  const [w, h] = boxOf(piece.shape);
  const own = piece.dressings ?? [];
  const spot = to ?? { x: w * (0.3 + 0.08 * (own.length % 6)), y: h * (0.86 - 0.05 * (own.length % 3)) };
  return { ...piece, dressings: [...own, { id: freeId(kind, own), kind, x: tenth(spot.x), y: tenth(spot.y), ...startingDressings[kind] }] };
}

/** Part of a dressing, given anew. */
export const withDressingChanged = (piece: Piece, id: string, change: Partial<Dressing>): Piece => ({
  ...piece,
  dressings: (piece.dressings ?? []).map((d) => (d.id === id ? { ...d, ...change } : d)),
});

/** A dressing taken off. */
export const withoutDressing = (piece: Piece, id: string): Piece => ({
  ...piece,
  dressings: (piece.dressings ?? []).filter((d) => d.id !== id),
});
