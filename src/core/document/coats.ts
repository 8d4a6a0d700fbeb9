import { freeId } from './drawn';
import type { Coat, Over, Part, Piece, Tint } from './schema';

/** Tints of a coat in the order of its cups. */
export const tintsOf = (coat: Coat): Tint[] =>
  coat.kind === 'sea' ? coat.tints : coat.kind === 'glaze' || coat.kind === 'base' ? [coat.tint] : coat.kind === 'wave' ? [coat.white] : [];

/** The part of the board a coat goes over: its own, else the ordinary one for its kind. */
export function overOf(coat: Coat): Over {
  if (coat.over) return coat.over;
  switch (coat.kind) {
    case 'sand':
      return { kind: 'beach' };
    case 'sea':
    case 'glaze':
      return { kind: 'sea' };
    default:
      return { kind: 'whole' };
  }
}

/** A piece with one coat changed. The change must keep the coat's kind. */
export const withCoat = (piece: Piece, coatId: string, change: (coat: Coat) => Coat): Piece => ({
  ...piece,
  coats: piece.coats.map((coat) => (coat.id === coatId ? change(coat) : coat)),
});

export const withFilm = (piece: Piece, coatId: string, film: number): Piece =>
  withCoat(piece, coatId, (coat) => (coat.kind === 'wave' ? coat : coat.kind === 'top' ? { ...coat, cover: film } : { ...coat, film }));

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
      case 'base':
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

/**
 * Coats put in another order. The lowest begins a pour whatever it was before, and a coat that waited for one that now
 * lies above it waits for nothing but its own pour.
 */
export function settled(coats: Coat[]): Coat[] {
  return coats.map((coat, i) => {
    const { waits, ...rest } = coat;
    const below = waits && coats.slice(0, i).some((c) => c.id === waits.coatId);
    const kept: Coat = waits && !below ? (rest as Coat) : coat;
    return i === 0 && kept.samePour ? { ...kept, samePour: false } : kept;
  });
}

/** A coat taken off. Where it was the first of its pour, the next one begins that pour. */
export function withoutCoat(piece: Piece, coatId: string): Piece {
  const at = piece.coats.findIndex((coat) => coat.id === coatId);
  const gone = piece.coats[at];
  if (!gone) return piece;
  const coats = piece.coats
    .filter((coat) => coat !== gone)
    .map((coat, i) => (i === at && !gone.samePour ? { ...coat, samePour: false } : coat));
  return { ...piece, coats: settled(coats) };
}

/** A coat moved to another place, counted from the bottom. */
export function withCoatMoved(piece: Piece, coatId: string, to: number): Piece {
  const coat = piece.coats.find((c) => c.id === coatId);
  if (!coat) return piece;
  const others = piece.coats.filter((c) => c !== coat);
  const at = Math.min(Math.max(to, 0), others.length);
  return { ...piece, coats: settled([...others.slice(0, at), coat, ...others.slice(at)]) };
}

/** Coats in the order of the ids given, bottom first; ids that are not there are passed over. */
export const withCoatOrder = (piece: Piece, ids: string[]): Piece => ({
  ...piece,
  coats: settled(ids.flatMap((id) => piece.coats.find((c) => c.id === id) ?? [])),
});

/** An id for a new coat of a piece. */
export const newCoatId = (piece: Piece, kind: Coat['kind']): string => freeId(`${piece.id.slice(0, 48)}-${kind}`, piece.coats);

/** A coat laid once more, right above itself and in the same pour. */
export function withCoatTwice(piece: Piece, coatId: string): Piece {
  const at = piece.coats.findIndex((c) => c.id === coatId);
  const coat = piece.coats[at];
  if (!coat) return piece;
  const copy = { ...coat, id: newCoatId(piece, coat.kind), samePour: true };
  return { ...piece, coats: [...piece.coats.slice(0, at + 1), copy, ...piece.coats.slice(at + 1)] };
}
