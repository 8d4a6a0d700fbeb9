import type { Foam } from '../state';
import { byteOf, colourOf } from './colour';
import type { SeenWhite } from './white';

/** Reflectance of the film below the white, inside it, three for each fine cell; NaN off the board. */
export type Ground = Float32Array;

/**
 * The picture of a box of fine cells, a pixel for each: red, green, blue, and clear off the board.
 * @returns bytes, row by row
 */
export function painted({ nx, physical }: Foam, { box, white, mist }: SeenWhite, ground: Ground): Uint8ClampedArray {
  const wide = box.i1 - box.i0;
  const out = new Uint8ClampedArray(4 * white.length);
  for (let n = 0; n < white.length; n++) {
    const k = 3 * ((box.j0 + Math.floor(n / wide)) * nx + box.i0 + (n % wide));
    if (Number.isNaN(ground[k]!)) continue;
    for (const band of [0, 1, 2] as const)
      out[4 * n + band] = byteOf(colourOf(mist[n]!, white[n]!, physical.scatter, ground[k + band]!, band));
    out[4 * n + 3] = 255;
  }
  return out;
}
