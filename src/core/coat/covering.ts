import type { Colourant, Part } from '#core/document';
import { layerOver, recipeLayer } from '#core/tint';
import type { Covers } from './kind';

/** A film that changes nothing that is seen through it. */
export const clearOver: Covers = () => undefined;

/** A tinted film. @param share of its thickness that is tinted, where clear lies under it */
export function tintOver(recipe: Part[], colourants: Colourant[], share = 1): Covers {
  const { absorb, scatter } = recipeLayer(recipe, colourants, 1);
  return (internal, film) => {
    for (const c of [0, 1, 2] as const) internal[c] = layerOver(absorb[c], scatter[c], film * share, internal[c]);
  };
}
