import { groupCoats } from '#core/coat';
import type { Coat, Piece } from '#core/document';

const without = ({ lies: _, ...coat }: Coat): Coat => coat as Coat;

/**
 * A piece of which a coat is on the board already, and all below it with that; or, where it is not, all above it neither.
 * @param lies the day it was poured, where it is known, which is its whole pour's; left out where it is still to be poured
 */
export function withLying(piece: Piece, coatId: string, lies: Coat['lies']): Piece {
  const at = piece.coats.findIndex((coat) => coat.id === coatId);
  if (!lies) return { ...piece, coats: piece.coats.map((coat, i) => (i < at ? coat : without(coat))) };
  const lain = piece.coats.map((coat, i) => (i <= at ? { ...coat, lies: coat.lies ?? {} } : coat));
  const pour = groupCoats(lain).find((group) => group.some((coat) => coat.id === coatId)) ?? [];
  return { ...piece, coats: lain.map((coat) => (pour.includes(coat) ? { ...coat, lies } : coat)) };
}
