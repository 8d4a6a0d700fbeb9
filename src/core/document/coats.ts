import type { Coat, Part, Piece, Tint } from './schema';

/** Tints of a coat in the order of its cups. */
export const tintsOf = (coat: Coat): Tint[] =>
  coat.kind === 'sea' ? coat.tints : coat.kind === 'glaze' ? [coat.tint] : coat.kind === 'wave' ? [coat.white] : [];

/** A piece with one coat changed. The change must keep the coat's kind. */
export const withCoat = (piece: Piece, coatId: string, change: (coat: Coat) => Coat): Piece => ({
  ...piece,
  coats: piece.coats.map((coat) => (coat.id === coatId ? change(coat) : coat)),
});

export const withFilm = (piece: Piece, coatId: string, film: number): Piece =>
  withCoat(piece, coatId, (coat) => (coat.kind === 'wave' ? coat : { ...coat, film }));

/** A piece with the load of one part of a recipe changed. @param index of the tint among the coat's */
export function withLoad(piece: Piece, coatId: string, index: number, part: Part): Piece {
  const set = (tint: Tint): Tint => {
    const kept = tint.recipe.some((p) => p.colourantId === part.colourantId);
    return { ...tint, recipe: kept ? tint.recipe.map((p) => (p.colourantId === part.colourantId ? part : p)) : [...tint.recipe, part] };
  };
  return withCoat(piece, coatId, (coat) => {
    switch (coat.kind) {
      case 'sea':
        return { ...coat, tints: coat.tints.map((tint, i) => (i === index ? set(tint) : tint)) };
      case 'glaze':
        return { ...coat, tint: set(coat.tint) };
      case 'wave':
        return { ...coat, white: set(coat.white) };
      default:
        return coat;
    }
  });
}

/** A coat laid on top of the others. */
export const withCoatOnTop = (piece: Piece, coat: Coat): Piece => ({ ...piece, coats: [...piece.coats, coat] });

/** A coat taken off. Where it was the first of its pour, the next one begins that pour. */
export function withoutCoat(piece: Piece, coatId: string): Piece {
  const at = piece.coats.findIndex((coat) => coat.id === coatId);
  const gone = piece.coats[at];
  if (!gone) return piece;
  const coats = piece.coats
    .filter((coat) => coat !== gone)
    .map((coat, i) => (i === at && !gone.samePour ? { ...coat, samePour: false } : coat));
  return { ...piece, coats };
}
