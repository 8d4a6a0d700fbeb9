import type { Point } from '#core/document';
import { seeded } from '#core/geometry';
import { bytesOf, perspective, type Picture, type Rgb } from '#core/tint';

/** How something flat is photographed: a board, a card. */
export interface Optics {
  width: number;
  height: number;
  /** Where its corners lie in the picture, px. */
  corners: Point[];
  /** Light in each channel at its middle, and how much it grows over half of its width and of its height. */
  light: Rgb;
  across: number;
  down: number;
  /** Spread of the noise, in steps of 255, and the blur's radius, px. */
  noise: number;
  blur: number;
  /** A lamp seen in the film: its middle and radius, mm, and how bright it is beside full light. */
  glare?: { at: Point; radius: number; bright: number };
  seed: number;
}

/** Bytes of a screen for so many steps of linear light, made when the first picture is taken. */
let bytes: Uint8ClampedArray | undefined;
const STEPS = 1 << 16;
const byteOf = (light: number): number => {
  bytes ??= Uint8ClampedArray.from({ length: STEPS + 1 }, (_, i) => bytesOf([i / STEPS, 0, 0])[0]);
  return bytes[Math.round(STEPS * Math.min(1, Math.max(0, light)))]!;
};

/** A channel blurred along rows or columns by the mean of its neighbours. */
function blurred(of: Float64Array, width: number, height: number, radius: number, step: 'row' | 'column'): Float64Array {
  if (radius === 0) return of;
  const out = new Float64Array(of.length);
  const [lines, count, by, next] = step === 'row' ? [height, width, 1, width] : [width, height, width, 1];
  for (let line = 0; line < lines; line++) {
    const base = line * next;
    for (let i = 0; i < count; i++) {
      let [sum, n] = [0, 0];
      for (let d = Math.max(0, i - radius); d <= Math.min(count - 1, i + radius); d++) {
        sum += of[base + d * by]!;
        n++;
      }
      out[base + i * by] = sum / n;
    }
  }
  return out;
}

/**
 * A photograph: light that falls off, glare, blur and noise. The same shot gives the same picture.
 * @param flat    mm of what is photographed; its corners are those of `corners`, in the same order
 * @param seen    reflectance at a place, mm, as the eye meets it
 * @param samples for each pixel and axis, where what is seen is finer than a pixel
 */
export function shoot(
  optics: Optics,
  flat: { corners: Point[]; width: number; height: number },
  seen: (at: Point) => Rgb,
  samples = 1,
): Picture {
  const { width, height, corners, light, across, down, noise, blur, glare } = optics;
  const back = perspective(corners, flat.corners);
  const chance = seeded(optics.seed);
  const channels = [0, 1, 2].map(() => new Float64Array(width * height));
  const part = 1 / samples ** 2;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      for (let s = 0; s < samples ** 2; s++) {
        const at = back({ x: x + ((s % samples) + 0.5) / samples - 0.5, y: y + (Math.floor(s / samples) + 0.5) / samples - 0.5 });
        const fall = 1 + (across * (at.x - flat.width / 2)) / (flat.width / 2) + (down * (at.y - flat.height / 2)) / (flat.height / 2);
        const shine = glare ? glare.bright * Math.exp(-(((at.x - glare.at.x) ** 2 + (at.y - glare.at.y) ** 2) / glare.radius ** 2)) : 0;
        const colour = seen(at);
        for (const c of [0, 1, 2] as const) channels[c]![y * width + x]! += part * (colour[c] * light[c] * Math.max(0.02, fall) + shine);
      }
  const shown = channels.map((of) => blurred(blurred(of, width, height, blur, 'row'), width, height, blur, 'column'));
  const data = new Uint8ClampedArray(4 * width * height);
  // the sum of three is near enough to a bell
  const stray = (): number => noise * 2 * (chance() + chance() + chance() - 1.5);
  for (let i = 0; i < width * height; i++) {
    for (const c of [0, 1, 2] as const) data[4 * i + c] = byteOf(shown[c]![i]!) + stray();
    data[4 * i + 3] = 255;
  }
  return { width, height, data };
}
