import { foamOver, type Site } from '#core/coat';
import type { WaveCoat } from '#core/document';
import { partOf } from '#core/geometry';
import { luminance, seenOf } from '#core/tint';
import type { PiecePlan } from './piece';
import { coated, filmsIn, laidOn, stackUnder, type Stack } from './stack';

/** How an older wave shows through a coat: its white against the sea beside it, before and after, 0 to 1. */
export interface LaceContrast {
  wave: WaveCoat;
  /** Number of the wave's coat, from 1. */
  number: number;
  before: number;
  after: number;
}

const lightOf = ({ internal: [r, g, b] }: Stack): number => luminance([seenOf(r), seenOf(g), seenOf(b)]);

/** Contrast of two luminances (Michelson 1927): their difference over their sum. */
const contrast = (a: number, b: number): number => (a + b > 0 ? Math.abs(a - b) / (a + b) : 0);

/**
 * What a coat over older waves leaves of their white: contrast of closed foam against its cells, in the part of the sea
 * where the wave breaks: next to the shore, or at the middle of its own curve. A coat that does not reach there gives none.
 */
export function laceThrough({ site, piece, means }: PiecePlan, coatId: string): LaceContrast[] {
  const at = piece.coats.findIndex((c) => c.id === coatId);
  const { colourants, method } = means;
  return piece.coats.slice(0, Math.max(0, at)).flatMap((wave, k): LaceContrast[] => {
    if (wave.kind !== 'wave') return [];
    const part = partOfWave(site, wave);
    const over = filmsIn(site, piece.coats.slice(k + 1, at + 1), part);
    const cells = stackUnder(site, wave.id, part, colourants);
    if (!cells.known || over.at(-1)?.id !== coatId) return [];
    const closed = laidOn(cells, foamOver(wave, { colourants, method }, 1), 0);
    const through = (coats: typeof over): number => {
      const light = (stack: Stack): number => lightOf(coats.reduce((s, c) => coated(s, site, c, part, colourants), stack));
      return contrast(light(closed), light(cells));
    };
    return [{ wave, number: k + 1, before: through(over.slice(0, -1)), after: through(over) }];
  });
}

/** The part of the sea a wave breaks in: next to the shore, or at the middle of its own curve. */
function partOfWave({ piece, cut }: Site, { along }: WaveCoat): number {
  const breaker = piece.sea.breakers?.find((b) => b.id === along);
  return breaker ? Math.max(1, partOf(breaker.points[Math.floor(breaker.points.length / 2)]!, cut)) : 1;
}
