import type { Bounds } from '#core/geometry';
import type { Point } from '#core/document';

/** Room round the drawing for rulers and handles, px. */
const [LEFT, TOP, RIGHT, BOTTOM] = [44, 34, 14, 14];
const CLOSEST = 12;

/** What of a board a drawing shows: fitted to its place until it is zoomed or panned. Lengths on the board in mm, on screen in px. */
export class View {
  width = $state(0);
  height = $state(0);
  #zoom = $state(1);
  /** What lies at the middle of the drawing; the middle of the board until it is panned. */
  #middle = $state.raw<Point>();
  readonly #bounds: () => Bounds;

  constructor(bounds: () => Bounds) {
    this.#bounds = bounds;
  }

  readonly plot = $derived({
    left: LEFT,
    top: TOP,
    width: Math.max(1, this.width - LEFT - RIGHT),
    height: Math.max(1, this.height - TOP - BOTTOM),
  });
  readonly scale = $derived.by(() => {
    const { width, height } = this.#bounds();
    return Math.max(0.01, Math.min(this.plot.width / width, this.plot.height / height)) * this.#zoom;
  });
  /** The board's corner, px from the plot's. */
  readonly origin = $derived.by((): Point => {
    const { width, height } = this.#bounds();
    const middle = this.#middle ?? { x: width / 2, y: Math.min(height / 2, height / 2) };
    const fitted = this.#zoom === 1;
    return {
      x: this.plot.width / 2 - middle.x * this.scale,
      y: fitted ? 0 : this.plot.height / 2 - middle.y * this.scale,
    };
  });
  /** What of the board is seen, mm. */
  readonly seen = $derived({
    x0: -this.origin.x / this.scale,
    y0: -this.origin.y / this.scale,
    x1: (this.plot.width - this.origin.x) / this.scale,
    y1: (this.plot.height - this.origin.y) / this.scale,
  });

  get zoom(): number {
    return this.#zoom;
  }

  get zoomed(): boolean {
    return this.#zoom !== 1;
  }

  /** Zooms by a factor, keeping the place at `at`, mm, where it is on the screen; the middle where none is given. */
  by(factor: number, at?: Point): void {
    const { seen } = this;
    const middle = { x: (seen.x0 + seen.x1) / 2, y: (seen.y0 + seen.y1) / 2 };
    const held = at ?? middle;
    const zoom = Math.min(CLOSEST, Math.max(1, this.#zoom * factor));
    const kept = this.#zoom / zoom;
    this.#zoom = zoom;
    this.#middle =
      zoom === 1 ? undefined : this.#onBoard({ x: held.x + (middle.x - held.x) * kept, y: held.y + (middle.y - held.y) * kept });
  }

  /** Moves what is seen by px. */
  pan(dx: number, dy: number): void {
    if (!this.zoomed) return;
    const { seen, scale } = this;
    this.#middle = this.#onBoard({ x: (seen.x0 + seen.x1) / 2 - dx / scale, y: (seen.y0 + seen.y1) / 2 - dy / scale });
  }

  fit(): void {
    this.#zoom = 1;
    this.#middle = undefined;
  }

  #onBoard({ x, y }: Point): Point {
    const { width, height } = this.#bounds();
    return { x: Math.min(width, Math.max(0, x)), y: Math.min(height, Math.max(0, y)) };
  }
}
