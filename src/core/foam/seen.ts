import { figuresOf, type Figures } from './figures';
import type { Point } from './line';
import { Warp } from './picture/warp';
import { whiteSeen, type SeenWhite } from './picture/white';
import { around, clamp, isEmpty, type Box } from './box';
import type { Foam } from './state';

/** Cells around the white that its picture reaches into; less white than this is not seen, mm. */
const AROUND = 12;
const LEAST = 1e-4;

/** Looks at a board, and keeps what does not change between two looks. */
export class Eye {
  readonly #warp: Warp;
  constructor(private readonly foam: Foam) {
    this.#warp = new Warp(foam);
  }

  /** All there is of white and of mist on the board, with what they are softened into. */
  whole(): Box {
    const { nx, ny, w, m } = this.foam;
    const part = { i0: nx, j0: ny, i1: 0, j1: 0 };
    for (let j = 0; j < ny; j++)
      for (let i = 0; i < nx; i++) {
        if (w[j * nx + i]! + m[j * nx + i]! <= LEAST) continue;
        if (i < part.i0) part.i0 = i;
        if (i >= part.i1) part.i1 = i + 1;
        if (j < part.j0) part.j0 = j;
        part.j1 = j + 1;
      }
    return isEmpty(part) ? { i0: 0, j0: 0, i1: 0, j1: 0 } : clamp(around(part, AROUND), nx, ny);
  }

  see(box: Box): SeenWhite {
    return whiteSeen(this.foam, box, this.#warp);
  }

  /** @param lines of white, and on which side of their run the sea lies @param board mm² that count */
  measure(lines: readonly { path: readonly Point[]; sea: 1 | -1 }[], board: number): Figures {
    return figuresOf(this.foam, this.see(this.whole()), lines, board);
  }
}
