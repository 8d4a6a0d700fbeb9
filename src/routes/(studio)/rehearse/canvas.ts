import { SCORCHED, type Scene } from '#core/rehearse';
import type { Frame } from '$lib/work/rehearse';

/** How much of the warm skin's orange lies over the picture at its warmest, and of the dark of what scorched, of 255. */
const [FAINT, DARK] = [110, 200];
/** Each warmth as a pixel, its bytes red, green, blue and how much of it. */
const PIXELS = new Uint32Array(
  Uint8Array.from({ length: 256 * 4 }, (_, k) => {
    const warm = k >> 2;
    const colour = warm === SCORCHED ? [40, 20, 0, DARK] : [184, 66, 28, (warm / 255) * FAINT];
    return colour[k % 4]!;
  }).buffer,
);

/** The pictures of a board: what is seen, and its warmth over it. They are drawn when there is something to draw on. */
export class Canvas {
  #seen: CanvasRenderingContext2D | undefined;
  #warm: CanvasRenderingContext2D | undefined;

  /** Hands over what is drawn on; undefined when it goes. */
  seen = (canvas: HTMLCanvasElement): { destroy: () => void } => {
    this.#seen = canvas.getContext('2d') ?? undefined;
    return { destroy: () => (this.#seen = undefined) };
  };
  warm = (canvas: HTMLCanvasElement): { destroy: () => void } => {
    this.#warm = canvas.getContext('2d') ?? undefined;
    return { destroy: () => (this.#warm = undefined) };
  };

  show({ piece, heat }: Frame, scene: Scene): void {
    if (this.#seen) {
      const { canvas } = this.#seen;
      if (canvas.width !== scene.nx || canvas.height !== scene.ny) [canvas.width, canvas.height] = [scene.nx, scene.ny];
      if (piece) {
        const { i0, j0, i1, j1 } = piece.box;
        this.#seen.putImageData(new ImageData(piece.pixels as Uint8ClampedArray<ArrayBuffer>, i1 - i0, j1 - j0), i0, j0);
      }
    }
    if (!this.#warm) return;
    const { canvas } = this.#warm;
    const tall = heat.bytes.length / heat.wide;
    if (canvas.width !== heat.wide || canvas.height !== tall) [canvas.width, canvas.height] = [heat.wide, tall];
    const image = this.#warm.createImageData(heat.wide, tall);
    const pixels = new Uint32Array(image.data.buffer);
    for (let k = 0; k < pixels.length; k++) pixels[k] = PIXELS[heat.bytes[k]!]!;
    this.#warm.putImageData(image, 0, 0);
  }
}
