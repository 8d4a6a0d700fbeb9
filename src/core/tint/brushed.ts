import type { Brushed } from '#core/document';
import { groundNamed, linear } from './ground';
import { internalOf, type Rgb } from './layer';

/**
 * What a brushed layer without thickness does to what is below it, in place: paint is seen as it is, matt; a wash passes
 * light twice, and is told by its colour over white, R = R below · (wash over white / white); a sealer changes nothing.
 * @param internal internal reflectance, linear sRGB
 */
export function brushOver({ kind, colour }: Brushed, internal: Rgb): void {
  if (kind === 'sealer' || colour === undefined) return;
  const own = linear(colour);
  const white = groundNamed('white primer').internal;
  for (const c of [0, 1, 2] as const)
    internal[c] = kind === 'paint' ? own[c] : internal[c] * Math.min(1, internalOf(own[c]) / internalOf(white[c]));
}
