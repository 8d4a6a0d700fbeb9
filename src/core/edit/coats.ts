import { kinds, laidOf } from '#core/coat';
import { startingFilm } from '#core/craft';
import type { Coat, Laid, Part, Piece, Resin, Tint, WaveCoat } from '#core/document';
import { freeId } from './ids';

/** A piece with one coat changed. The change must keep the coat's kind. */
export const withCoat = (piece: Piece, coatId: string, change: (coat: Coat) => Coat): Piece => ({
  ...piece,
  coats: piece.coats.map((coat) => (coat.id === coatId ? change(coat) : coat)),
});

/** A coat’s film, mm. */
export const withFilm = (piece: Piece, coatId: string, film: number): Piece =>
  withCoat(piece, coatId, (coat) => ('film' in coat ? { ...coat, film } : 'cover' in coat ? { ...coat, cover: film } : coat));

/**
 * A coat laid another way. A film that is what the way before starts with becomes what this one does; the artist's own stays.
 */
export const withLaid = (piece: Piece, coatId: string, laid: Laid, resins: Resin[]): Piece =>
  withCoat(piece, coatId, (coat) => {
    if (!('film' in coat)) return coat;
    const resin = resins.find((r) => r.id === coat.resinId);
    const asStarted = coat.film === startingFilm(coat.kind, laidOf(coat), resin);
    return { ...coat, laid, ...(asStarted && { film: startingFilm(coat.kind, laid, resin) }) };
  });

/** A piece with one tint of a coat changed. @param index of the tint among the coat's */
export const withTint = (piece: Piece, coatId: string, index: number, change: (tint: Tint) => Tint): Piece =>
  withCoat(piece, coatId, (coat) => {
    if ('tints' in coat) return { ...coat, tints: coat.tints.map((tint, i) => (i === index ? change(tint) : tint)) };
    if (coat.kind === 'base' && index > 0)
      return { ...coat, ...(coat.inshore && { inshore: coat.inshore.map((tint, i) => (i === index - 1 ? change(tint) : tint)) }) };
    if ('tint' in coat && coat.tint) return { ...coat, tint: change(coat.tint) };
    return 'white' in coat ? { ...coat, white: change(coat.white) } : coat;
  });

/** A piece with the load of one part of a recipe changed; a load of nothing takes the colourant off the cup. */
export const withLoad = (piece: Piece, coatId: string, index: number, part: Part): Piece =>
  withTint(piece, coatId, index, (tint) => {
    const { recipe } = tint;
    if (part.load === 0) return { ...tint, recipe: recipe.filter((p) => p.colourantId !== part.colourantId) };
    const kept = recipe.some((p) => p.colourantId === part.colourantId);
    return { ...tint, recipe: kept ? recipe.map((p) => (p.colourantId === part.colourantId ? part : p)) : [...recipe, part] };
  });

/** Where a new coat of a kind belongs, counted from the bottom: above all that lies on the board already. */
export const placeFor = (coats: Coat[], kind: Coat['kind']): number =>
  Math.max(coats.findLastIndex((coat) => coat.lies) + 1, placeAmong(coats, kind));

function placeAmong(coats: Coat[], kind: Coat['kind']): number {
  switch (kinds[kind].place) {
    case 'lowest':
      return 0;
    case 'on the seal': {
      const at = coats.findIndex((c) => c.kind !== 'seal');
      return at < 0 ? coats.length : at;
    }
    case 'under the tops':
      return coats.findLastIndex((c) => c.kind !== 'top') + 1;
    case 'topmost':
      return coats.length;
  }
}

/** The resin a new coat of a kind takes: that of the coat it comes to lie on, else of the one above it. */
export const resinFor = (coats: Coat[], kind: Coat['kind']): string | undefined => {
  const at = placeFor(coats, kind);
  return (coats[at - 1] ?? coats[at])?.resinId;
};

/** A coat put where it belongs. */
export function withCoatAdded(piece: Piece, coat: Coat): Piece {
  const at = placeFor(piece.coats, coat.kind);
  return { ...piece, coats: [...piece.coats.slice(0, at), coat, ...piece.coats.slice(at)] };
}

/** A coat taken off. Where it was the first of its pour, the next one begins that pour. */
export function withoutCoat(piece: Piece, coatId: string): Piece {
  const at = piece.coats.findIndex((coat) => coat.id === coatId);
  const gone = piece.coats[at];
  if (!gone) return piece;
  const coats = piece.coats
    .filter((coat) => coat !== gone)
    .map((coat, i) => (i === at && !gone.samePour ? { ...coat, samePour: false } : coat))
    .map((coat) => {
      const { waits, ...rest } = coat;
      return waits?.coatId === coatId ? (rest as Coat) : coat;
    });
  return { ...piece, coats };
}

/**
 * A coat moved to another place, counted from the bottom. Nothing else changes, so that moving it back is as if it had
 * not been moved.
 */
export function withCoatMoved(piece: Piece, coatId: string, to: number): Piece {
  const coat = piece.coats.find((c) => c.id === coatId);
  if (!coat) return piece;
  const others = piece.coats.filter((c) => c !== coat);
  const at = Math.min(Math.max(to, 0), others.length);
  return { ...piece, coats: [...others.slice(0, at), coat, ...others.slice(at)] };
}

/** Coats in the order of the ids given, bottom first; ids that are not there are passed over. */
export const withCoatOrder = (piece: Piece, ids: string[]): Piece => ({
  ...piece,
  coats: ids.flatMap((id) => piece.coats.find((c) => c.id === id) ?? []),
});

/** An id for a new coat of a piece. */
export const newCoatId = (piece: Piece, kind: Coat['kind']): string => freeId(`${piece.id.slice(0, 48)}-${kind}`, piece.coats);

/** A coat laid once more, right above itself and in the same pour. */
export function withCoatTwice(piece: Piece, coatId: string): Piece {
  const at = piece.coats.findIndex((c) => c.id === coatId);
  const coat = piece.coats[at];
  if (!coat) return piece;
  // what was rehearsed was the first of them
  const { rehearsed: _, ...like } = coat as WaveCoat;
  const copy = { ...like, id: newCoatId(piece, coat.kind), samePour: true } as Coat;
  return { ...piece, coats: [...piece.coats.slice(0, at + 1), copy, ...piece.coats.slice(at + 1)] };
}
