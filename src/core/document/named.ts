import type { Piece, Slope, Stock } from './schema';
import { tintsOf } from './tints';

/** Resins and colourants that a piece, a slope or a container names. */
export function namedBy(of: Piece | Slope | Stock): { resins: string[]; colourants: string[] } {
  if ('coats' in of) {
    const parts = of.coats.flatMap(tintsOf).flatMap((tint) => tint.recipe);
    return { resins: of.coats.map((c) => c.resinId), colourants: parts.map((p) => p.colourantId) };
  }
  if ('cups' in of) {
    const parts = [...of.deep, ...of.toward, ...of.cups.flatMap((cup) => cup.recipe ?? [])];
    return { resins: [of.resinId], colourants: parts.map((p) => p.colourantId) };
  }
  return {
    resins: of.of.kind === 'resin' ? [of.of.resinId] : [],
    colourants: of.of.kind === 'colourant' ? [of.of.colourantId] : [],
  };
}
