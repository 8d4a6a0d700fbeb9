import type { Foam } from '../state';
import { byteOf, colourOf } from './colour';
import type { SeenWhite } from './white';
import type { Ground } from './picture';

/** Contrast of white with its ground, of 255, under which its picture is told by thickness alone. */
const TELLS = 24;
const GREEN = 1;

/**
 * How much of thick white is seen at each cell of a box, 0 to 255: mixed by it, the colour of thick white over the ground
 * gives the picture.
 * @param thick white that hides what is below, mm
 */
export function coverOf({ nx, physical }: Foam, { box, white, mist }: SeenWhite, ground: Ground, thick: number): Uint8Array {
  const wide = box.i1 - box.i0;
  const out = new Uint8Array(white.length);
  for (let n = 0; n < white.length; n++) {
    const k = 3 * ((box.j0 + Math.floor(n / wide)) * nx + box.i0 + (n % wide)) + GREEN;
    const below = ground[k]!;
    if (Number.isNaN(below) || white[n]! + mist[n]! <= 0) continue;
    const [bare, full] = [
      byteOf(colourOf(0, 0, physical.scatter, below, GREEN)),
      byteOf(colourOf(0, thick, physical.scatter, below, GREEN)),
    ];
    const share =
      Math.abs(full - bare) < TELLS
        ? (white[n]! + mist[n]!) / thick
        : (byteOf(colourOf(mist[n]!, white[n]!, physical.scatter, below, GREEN)) - bare) / (full - bare);
    out[n] = Math.round(255 * Math.min(1, Math.max(0, share)));
  }
  return out;
}
