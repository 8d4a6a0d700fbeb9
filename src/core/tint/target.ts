import type { Point } from '#core/document';

/** A rectangle on the card, mm. */
export interface Patch {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** The card a smear is photographed on, mm, origin at its upper left: printed by the app on matt paper at its real size. */
export const card = { width: 150, height: 100 } as const;

/** Middles of the corner marks, from the upper left clockwise. */
export const cardCorners: Point[] = [
  { x: 7, y: 7 },
  { x: 143, y: 7 },
  { x: 143, y: 93 },
  { x: 7, y: 93 },
];

/** Reflectance of the card's white and black and of its greys, as an ordinary printer leaves them on matt paper. */
export const CARD_WHITE = 0.85;
export const CARD_BLACK = 0.04;
const FALLING = [0.85, 0.6, 0.42, 0.28, 0.18, 0.1, 0.05];
const MIXED = [0.28, 0.05, 0.6, 0.1, 0.85, 0.18, 0.42];

const row = (y: number, greys: number[]): { patch: Patch; reflectance: number }[] =>
  greys.map((reflectance, i) => ({ patch: { x: 18 + i * 16.5, y, width: 15, height: 10 }, reflectance }));

/** Two rows of greys, so that light that falls off shows; in no order that a card turned round would have again. */
export const cardGreys = [...row(5, FALLING), ...row(85, MIXED)];

/** The two grounds, and the strip across both of them that the smear goes on. */
export const cardGrounds = {
  white: { x: 20, y: 20, width: 55, height: 60 },
  black: { x: 75, y: 20, width: 55, height: 60 },
  smear: { x: 20, y: 42, width: 110, height: 30 },
} satisfies Record<string, Patch>;

/** Where the four patches are read, well inside their fields. */
export const cardPatches = {
  white: { x: 26, y: 25, width: 40, height: 11 },
  black: { x: 84, y: 25, width: 40, height: 11 },
  overWhite: { x: 28, y: 48, width: 36, height: 18 },
  overBlack: { x: 86, y: 48, width: 36, height: 18 },
} satisfies Record<string, Patch>;
