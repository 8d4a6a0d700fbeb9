import type { Colourant, Piece } from '#core/document';
import { clearLayer, groundOf, hexOf, recipeLayer, sandGround, seenColour, stackOver, type Ground, type Layer } from '#core/tint';

/** Colours of the chart, "#rrggbb", seen through every coat laid over them. */
export interface ChartColours {
  beach: string;
  /** From the shore seaward, like the parts of the sea. */
  sea: string[];
  foam?: string;
}

const seen = (layers: Layer[], ground: Ground): string => hexOf(layers.length ? seenColour(stackOver(layers, ground.internal)) : ground.bare);

/** Colours of each part of the board: the ground, the coats over it, and the surface once, at the outermost. */
export function chartColours(piece: Piece, colourants: Colourant[], foamFilm: number): ChartColours {
  const ground = groundOf(piece.surface);
  const n = piece.sea.edges.length + 1;
  const beach: { layers: Layer[]; ground: Ground } = { layers: [], ground };
  const sea: Layer[][] = Array.from({ length: n }, () => []);
  let foam: Layer[] | undefined;
  for (const coat of piece.coats)
    if (coat.kind === 'sand') {
      beach.ground = sandGround;
      beach.layers = [clearLayer(coat.film)];
    } else if (coat.kind === 'clear') [beach.layers, ...sea, ...(foam ? [foam] : [])].forEach((layers) => layers.push(clearLayer(coat.film)));
    else if (coat.kind === 'glaze') [...sea, ...(foam ? [foam] : [])].forEach((layers) => layers.push(recipeLayer(coat.tint.recipe, colourants, coat.film)));
    else if (coat.kind === 'sea') sea.forEach((layers, i) => layers.push(recipeLayer(coat.tints[n - 1 - i]?.recipe ?? [], colourants, coat.film)));
    else if (coat.kind === 'wave') foam = [...sea[0]!, recipeLayer(coat.white.recipe, colourants, foamFilm)];
  return {
    beach: seen(beach.layers, beach.ground),
    sea: sea.map((layers) => seen(layers, ground)),
    ...(foam && { foam: seen(foam, ground) }),
  };
}
