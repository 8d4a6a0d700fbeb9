import { figuresOf, type Figures } from './figures';
import type { Point } from './line';
import { Warp } from './picture/warp';
import { whiteSeen, type SeenWhite } from './picture/white';
import { widened } from './picture/picture';
import { isEmpty, type Box } from './box';
import { whitePart, type Foam } from './state';

/** Cells around the white that its picture reaches into. */
const AROUND = 12;

/** Looks at a board, and keeps what does not change between two looks. */
export class Eye {
  readonly #warp: Warp;
  constructor(private readonly foam: Foam) {
    this.#warp = new Warp(foam);
  }

  /** All there is of white, and of mist, on the board. */
  whole(): Box {
    const all = { i0: 0, j0: 0, i1: this.foam.nx, j1: this.foam.ny };
    const white = whitePart(this.foam, all, 1e-4);
    return isEmpty(white) ? { i0: 0, j0: 0, i1: 0, j1: 0 } : widened(this.foam, white, AROUND);
  }

  see(box: Box): SeenWhite {
    return whiteSeen(this.foam, box, this.#warp);
  }

  /** @param lines of white, and on which side of their run the sea lies @param board mm² that count */
  measure(lines: readonly { path: readonly Point[]; sea: 1 | -1 }[], board: number): Figures {
    return figuresOf(this.foam, this.see(this.whole()), lines, board);
  }
}
