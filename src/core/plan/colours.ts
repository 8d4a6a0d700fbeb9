import type { Colourant, Piece } from '#core/document';
import { clearLayer, groundOf, hexOf, recipeLayer, sandGround, seenColour, stackOver, type Ground, type Layer } from '#core/tint';

/** Colours of the chart, "#rrggbb", seen through every coat laid over them. */
export interface ChartColours {
  beach: string;
  /** From the shore seaward, like the parts of the sea. */
  sea: string[];
  /** The foam where it lies closed, on the same parts; nothing without a wave. */
  foam?: { beach: string; sea: string[] };
}

const seen = (layers: Layer[], ground: Ground): string =>
  hexOf(layers.length ? seenColour(stackOver(layers, ground.internal)) : ground.bare);

/** Colours of each part of the board: the ground, the coats over it, and the surface once, at the outermost. */
export function chartColours(piece: Piece, colourants: Colourant[], foamFilm: number): ChartColours {
  const ground = groundOf(piece.surface);
  const n = piece.sea.edges.length + 1;
  const beach: { layers: Layer[]; ground: Ground } = { layers: [], ground };
  const sea: Layer[][] = Array.from({ length: n }, () => []);
  /** The same with the foam between; laid when the wave is. */
  let foam: { beach: typeof beach; sea: Layer[][] } | undefined;
  for (const coat of piece.coats)
    if (coat.kind === 'wave') {
      const white = recipeLayer(coat.white.recipe, colourants, foamFilm);
      // an earlier wave goes on showing only where this one is open, so the last one drawn stands for the foam
      foam = { beach: { ...beach, layers: [...beach.layers, white] }, sea: sea.map((layers) => [...layers, white]) };
    } else
      for (const on of [{ beach, sea }, ...(foam ? [foam] : [])]) {
        if (coat.kind === 'sand') {
          on.beach.ground = sandGround;
          on.beach.layers.push(clearLayer(coat.film));
        } else if (coat.kind === 'sea')
          on.sea.forEach((layers, i) => layers.push(recipeLayer(coat.tints[n - 1 - i]?.recipe ?? [], colourants, coat.film)));
        else {
          const layer = coat.kind === 'glaze' ? recipeLayer(coat.tint.recipe, colourants, coat.film) : clearLayer(coat.film);
          on.sea.forEach((layers) => layers.push(layer));
          if (coat.kind === 'clear') on.beach.layers.push(layer);
        }
      }
  const shown = (on: { beach: typeof beach; sea: Layer[][] }) => ({
    beach: seen(on.beach.layers, on.beach.ground),
    sea: on.sea.map((layers) => seen(layers, ground)),
  });
  return { ...shown({ beach, sea }), ...(foam && { foam: shown(foam) }) };
}
