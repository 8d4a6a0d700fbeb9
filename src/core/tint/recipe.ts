import type { Colourant, Part } from '#core/document';
import type { Layer } from './layer';

/** A clear film: it neither absorbs nor scatters. */
export const clearLayer = (film: number): Layer => ({ absorb: [0, 0, 0], scatter: [0, 0, 0], film });

/**
 * The film a recipe makes: K = Σ load·k, S = Σ load·s. Colourants that are not known are left out.
 * @param film mm
 */
export function recipeLayer(recipe: Part[], colourants: Colourant[], film: number): Layer {
  const layer = clearLayer(film);
  for (const { colourantId, load } of recipe) {
    const colourant = colourants.find((c) => c.id === colourantId);
    if (!colourant) continue;
    for (const c of [0, 1, 2] as const) {
      layer.absorb[c] += load * colourant.absorb[c];
      layer.scatter[c] += load * colourant.scatter[c];
    }
  }
  return layer;
}

/** Volume share of solids that a recipe brings into the mix, for its thickness. */
export function solidsShare(recipe: Part[], colourants: Colourant[], resinDensity: number): number {
  let added = 0;
  let solid = 0;
  for (const { colourantId, load } of recipe) {
    const colourant = colourants.find((c) => c.id === colourantId);
    if (!colourant) continue;
    const volume = (load * resinDensity) / colourant.density;
    added += volume;
    solid += volume * colourant.solids;
  }
  return solid / (1 + added);
}
