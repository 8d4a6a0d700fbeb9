import { noise } from './chance';
import { toField, type Foam } from './state';

/** Nodes of the unevenness of a film's mobility, mm, and the share of the finer. */
const [COARSE, FINE, FINER] = [9, 3, 0.6];

/**
 * Where the film is and how well it moves there: nothing on the beach and off the board, elsewhere its own slight
 * unevenness.
 * @param mask share of the film at a place, mm, 0 to 1
 */
export function spreadFilm(foam: Foam, mask: (x: number, y: number) => number, uneven = foam.tuned.uneven): void {
  const { nx, ny, dx, seed, mobility } = foam;
  for (let j = 0, k = 0; j < ny; j++)
    for (let i = 0; i < nx; i++, k++) {
      const [x, y] = [(i + 0.5) * dx, (j + 0.5) * dx];
      const share = mask(x, y);
      mobility[k] =
        share <= 0
          ? 0
          : share * (uneven === 0 ? 1 : Math.exp(uneven * (noise(seed + 101, x, y, COARSE) + FINER * noise(seed + 102, x, y, FINE))));
    }
  toField(foam, mobility, foam.fieldMobility);
}
