import { onShelf, startingBeach, startingBeachFilm, startingPerResin, tintedSand } from '#core/craft';
import type { Beach, Coat, Colourant, Piece, SandCoat } from '#core/document';
import { withCoat, withoutCoat } from './coats';

/** A beach laid in something else: with the film and the share of grains of that, unless they are the artist's own; a tint only where it is nothing else. */
export function beachOf({ tint: _, ...coat }: SandCoat, how: Beach, colourants: Colourant[]): SandCoat {
  const asStarted = coat.film === startingBeachFilm(coat.how);
  return {
    ...coat,
    how,
    ...(asStarted && { film: startingBeachFilm(how) }),
    ...(coat.sandPerResin === startingPerResin(coat.how) && { sandPerResin: startingPerResin(how) }),
    ...(how === 'tint' && { tint: onShelf(startingBeach, colourants) }),
  };
}

const withSand = (piece: Piece, coatId: string, change: (coat: SandCoat) => SandCoat): Piece =>
  withCoat(piece, coatId, (coat: Coat) => (coat.kind === 'sand' ? change(coat) : coat));

/** A piece whose beach is laid in something else; a bare one has no coat. */
export const withBeach = (piece: Piece, coatId: string, how: Beach | 'bare', colourants: Colourant[]): Piece =>
  how === 'bare' ? withoutCoat(piece, coatId) : withSand(piece, coatId, (coat) => beachOf(coat, how, colourants));

/** The resin between a beach's grains tinted, or left clear again. */
export const withTintedSand = (piece: Piece, coatId: string, tinted: boolean, colourants: Colourant[]): Piece =>
  withSand(piece, coatId, ({ tint, ...coat }) => (tinted ? { ...coat, tint: tint ?? onShelf(tintedSand, colourants) } : coat));

/** The colour of the grains, "#rrggbb"; without one they are of the ordinary colour. */
export const withGrainColour = (piece: Piece, coatId: string, own: string | undefined): Piece =>
  withSand(piece, coatId, ({ colour: _, ...coat }) => (own === undefined ? coat : { ...coat, colour: own }));
