import type { Point } from '#core/document';
import {
  CARD_BLACK,
  CARD_WHITE,
  card,
  cardCorners,
  cardGreys,
  cardGrounds,
  layerOver,
  seenOf,
  type Patch,
  type Picture,
  type Rgb,
} from '#core/tint';
import { shoot, type Optics } from './camera';

/** A smear on the card and the light it is photographed in. */
export interface Shot extends Omit<Optics, 'glare'> {
  /** k and s per mm at load 1, the smear's load and its film, mm. */
  absorb: Rgb;
  scatter: Rgb;
  load: number;
  film: number;
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

/** A photograph of the card as the app's own model sees it. */
export const photograph = (shot: Shot): Picture => shoot(shot, { corners: cardCorners, ...card }, (at) => reflectanceAt(at, shot));
