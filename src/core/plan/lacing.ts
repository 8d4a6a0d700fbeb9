import type { WaveCoat } from '#core/document';
import { partOf } from '#core/geometry';
import { layerOver, luminance, recipeLayer, seenOf, stackOver, type Rgb } from '#core/tint';
import { groundsUnder, layerOf } from './colours';
import type { PiecePlan } from './piece';

/** How an older wave shows through a coat: its white against the sea beside it, before and after, 0 to 1. */
export interface LaceContrast {
  wave: WaveCoat;
  /** Number of the wave's coat, from 1. */
  number: number;
  before: number;
  after: number;
}

const light = ([r, g, b]: Rgb): number => luminance([seenOf(r), seenOf(g), seenOf(b)]);

/** Contrast of two luminances (Michelson 1927): their difference over their sum. */
const contrast = (a: number, b: number): number => (a + b > 0 ? Math.abs(a - b) / (a + b) : 0);

/**
 * What a coat over older waves leaves of their white: contrast of closed foam against its cells, in the part of the sea
 * where the wave breaks: next to the shore, or at the middle of its own curve. A coat that does not reach there gives none.
 */
export function laceThrough({ site, cut, piece, means, coats }: PiecePlan, coatId: string): LaceContrast[] {
  const at = piece.coats.findIndex((c) => c.id === coatId);
  const { colourants, method } = means;
  const partOfWave = ({ along }: WaveCoat): number => {
    const breaker = piece.sea.breakers?.find((b) => b.id === along);
    return breaker ? Math.max(1, partOf(breaker.points[Math.floor(breaker.points.length / 2)]!, cut)) : 1;
  };
  const film = (id: string): number => coats.find((c) => c.coat.id === id)!.film;
  return piece.coats.slice(0, Math.max(0, at)).flatMap((wave, k): LaceContrast[] => {
    if (wave.kind !== 'wave') return [];
    const part = partOfWave(wave);
    const over = piece.coats
      .slice(k + 1, at + 1)
      .filter((c) => c.kind !== 'wave' && (site.regions.get(c.id)!.sea[part - 1]?.area ?? 0) > 0);
    const cells = groundsUnder({ site, cut }, wave.id, colourants)[part];
    if (!cells || over.at(-1)?.id !== coatId) return [];
    const white = recipeLayer(wave.white.recipe, colourants, method.foamFilm);
    const foam = [0, 1, 2].map((c) => layerOver(white.absorb[c]!, white.scatter[c]!, white.film, cells[c]!)) as Rgb;
    const layers = over.map((c) => layerOf(c, part, cut.sea.length, colourants, film(c.id)));
    const after = (n: number): number => contrast(light(stackOver(layers.slice(0, n), foam)), light(stackOver(layers.slice(0, n), cells)));
    return [{ wave, number: k + 1, before: after(layers.length - 1), after: after(layers.length) }];
  });
}
