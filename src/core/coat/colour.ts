import type { Tint } from '#core/document';
import { groundKnown, groundOf, hexOf, recipeLayer, seenColour, stackOver, type Rgb } from '#core/tint';
import type { Setting } from './setting';

/** An internal reflectance as it is seen through its surface, "#rrggbb". */
export const hex = (internal: Rgb): string => hexOf(seenColour(internal));

/**
 * A tinted film over the ground of the piece; undefined where that ground has no known colour.
 * @param film mm @param depth where its ground is graded, 0 the deep to 1 the beach
 */
export const tintHex = (
  { piece, colourants }: Pick<Setting, 'piece' | 'colourants'>,
  tint: Tint,
  film: number,
  depth?: number,
): string | undefined =>
  groundKnown(piece.surface)
    ? hex(stackOver([recipeLayer(tint.recipe, colourants, film)], groundOf(piece.surface, depth).internal))
    : undefined;
