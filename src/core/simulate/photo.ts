import type { Point } from '#core/document';
import { seeded } from '#core/geometry';
import {
  CARD_BLACK,
  CARD_WHITE,
  bytesOf,
  card,
  cardCorners,
  cardGreys,
  cardGrounds,
  layerOver,
  perspective,
  seenOf,
  type Patch,
  type Picture,
  type Rgb,
} from '#core/tint';

/** A smear on the card and the light it is photographed in. */
export interface Shot {
  /** k and s per mm at load 1, the smear's load and its film, mm. */
  absorb: Rgb;
  scatter: Rgb;
  load: number;
  film: number;
  width: number;
  height: number;
  /** Where the corner marks lie, px. */
  corners: Point[];
  /** Light in each channel at the middle of the card, and how much it grows over half of its width and of its height. */
  light: Rgb;
  across: number;
  down: number;
  /** Spread of the noise, in steps of 255, and the blur's radius, px. */
  noise: number;
  blur: number;
  seed: number;
}

const within = ({ x, y, width, height }: Patch, at: Point): boolean => at.x >= x && at.x < x + width && at.y >= y && at.y < y + height;

/** Reflectance of the card at a place, mm; of the table beside it. */
function reflectanceAt(at: Point, { absorb, scatter, load, film }: Shot): Rgb {
  if (!within({ x: 0, y: 0, ...card }, at)) return [0.3, 0.24, 0.18];
  if (cardCorners.some((c) => Math.hypot(c.x - at.x, c.y - at.y) < 2.5)) return [CARD_BLACK, CARD_BLACK, CARD_BLACK];
  const grey = cardGreys.find((g) => within(g.patch, at));
  if (grey) return [grey.reflectance, grey.reflectance, grey.reflectance];
  const G = within(cardGrounds.black, at) ? CARD_BLACK : CARD_WHITE;
  if (!within(cardGrounds.smear, at)) return [G, G, G];
  const seen = (c: 0 | 1 | 2): number => seenOf(layerOver(absorb[c] * load, scatter[c] * load, film, G));
  return [seen(0), seen(1), seen(2)];
}

/** A channel blurred along rows or columns by the mean of its neighbours. */
function blurred(of: Float64Array, width: number, height: number, radius: number, step: 'row' | 'column'): Float64Array {
  const out = new Float64Array(of.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let [sum, n] = [0, 0];
      for (let d = -radius; d <= radius; d++) {
        const [i, j] = step === 'row' ? [x + d, y] : [x, y + d];
        if (i < 0 || j < 0 || i >= width || j >= height) continue;
        sum += of[j * width + i]!;
        n++;
      }
      out[y * width + x] = sum / n;
    }
  return out;
}

/** A photograph of the card as the app's own model sees it: light that falls off, blur and noise. The same shot gives the same picture. */
export function photograph(shot: Shot): Picture {
  const { width, height, light, across, down, noise, blur } = shot;
  const back = perspective(shot.corners, cardCorners);
  const chance = seeded(shot.seed);
  const channels = [0, 1, 2].map(() => new Float64Array(width * height));
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = back({ x, y });
      const fall = 1 + (across * (at.x - card.width / 2)) / (card.width / 2) + (down * (at.y - card.height / 2)) / (card.height / 2);
      const seen = reflectanceAt(at, shot);
      for (const c of [0, 1, 2] as const) channels[c]![y * width + x] = seen[c] * light[c] * Math.max(0.02, fall);
    }
  const [r, g, b] = channels.map((of) => blurred(blurred(of, width, height, blur, 'row'), width, height, blur, 'column'));
  const data = new Uint8ClampedArray(4 * width * height);
  // the sum of three is near enough to a bell
  const stray = (): number => noise * 2 * (chance() + chance() + chance() - 1.5);
  for (let i = 0; i < width * height; i++) {
    const bytes = bytesOf([r![i]!, g![i]!, b![i]!]);
    for (const c of [0, 1, 2] as const) data[4 * i + c] = bytes[c] + stray();
    data[4 * i + 3] = 255;
  }
  return { width, height, data };
}
