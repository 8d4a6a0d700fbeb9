import type { Likely } from '#core/cure';

/** Figures of a batch's windows that rest on guesses, each with how sure it is; clock minutes after mixing. */
export const figures = [
  'tintUntil',
  'whiteFrom',
  'bestFrom',
  'bestUntil',
  'whiteUntil',
  'shellsFrom',
  'lastMovesFrom',
  'heatUntil',
  'recoatFrom',
  'bondUntil',
  'handle',
  'fullCure',
] as const;
export type Figure = (typeof figures)[number];
export type LikelyWindows = Partial<Record<Figure, Likely>>;
