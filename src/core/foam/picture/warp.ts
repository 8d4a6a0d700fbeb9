import { noise } from '../chance';
import type { Box } from '../box';
import type { Foam } from '../state';

/** Nodes of what bends the walls, mm, how much of the finer, and how far it bends them, mm. */
const [COARSE, FINE, FINER, BY] = [1.7, 0.63, 0.5, 0.16];
const BLOCK = 32;

/** How far each place is bent before its cell is looked for, mm, so that no wall is a drawn curve. The same for all of a rehearsal. */
export class Warp {
  readonly x: Float32Array;
  readonly y: Float32Array;
  readonly #done: Uint8Array;
  readonly #wide: number;

  constructor(private readonly foam: Pick<Foam, 'nx' | 'ny' | 'dx' | 'seed'>) {
    this.x = new Float32Array(foam.nx * foam.ny);
    this.y = new Float32Array(foam.nx * foam.ny);
    this.#wide = Math.ceil(foam.nx / BLOCK);
    this.#done = new Uint8Array(this.#wide * Math.ceil(foam.ny / BLOCK));
  }

  /** Works out what is not known yet of a box of fine cells. */
  over({ i0, j0, i1, j1 }: Box): void {
    const { nx, ny, dx, seed } = this.foam;
    for (let J = Math.floor(j0 / BLOCK); J * BLOCK < j1; J++)
      for (let I = Math.floor(i0 / BLOCK); I * BLOCK < i1; I++) {
        if (this.#done[J * this.#wide + I]) continue;
        this.#done[J * this.#wide + I] = 1;
        for (let j = J * BLOCK; j < Math.min(ny, (J + 1) * BLOCK); j++)
          for (let i = I * BLOCK; i < Math.min(nx, (I + 1) * BLOCK); i++) {
            const x = (i + 0.5) * dx;
            const y = (j + 0.5) * dx;
            this.x[j * nx + i] = BY * (noise(seed + 41, x, y, COARSE) + FINER * noise(seed + 42, x, y, FINE));
            this.y[j * nx + i] = BY * (noise(seed + 43, x, y, COARSE) + FINER * noise(seed + 44, x, y, FINE));
          }
      }
  }
}
