import type { SeenTrial } from '#core/rehearse';

/** Draws a picture that came as pixels. */
export function picture(canvas: HTMLCanvasElement, of: Pick<SeenTrial, 'wide' | 'tall' | 'pixels'>): void {
  [canvas.width, canvas.height] = [of.wide, of.tall];
  canvas.getContext('2d')?.putImageData(new ImageData(of.pixels as Uint8ClampedArray<ArrayBuffer>, of.wide, of.tall), 0, 0);
}
