import type { Resin } from '#core/document';

/** The two parts of a mix, by volume and by weight. */
export interface Split {
  aMl: number;
  bMl: number;
  aG: number;
  bG: number;
}

type Mixable = Pick<Resin, 'ratio' | 'densityA' | 'densityB'>;

/** Parts of A and B by volume, whichever way the maker states the ratio. */
function partsByVolume({ ratio, densityA, densityB }: Mixable): { a: number; b: number } {
  return ratio.by === 'volume' ? ratio : { a: ratio.a / densityA, b: ratio.b / densityB };
}

/** Density of the mixed resin, g/ml: 1.065 for 1.15 and 0.98 at 1 : 1 by volume. */
export function mixedDensity(resin: Mixable): number {
  const { a, b } = partsByVolume(resin);
  return (a * resin.densityA + b * resin.densityB) / (a + b);
}

/** Splits a volume of mix, ml, into its parts. 187 ml, 1 : 1, 1.15/0.98 → 93.5 ml 107.525 g and 93.5 ml 91.63 g. */
export function split(ml: number, resin: Mixable): Split {
  const { a, b } = partsByVolume(resin);
  const aMl = (ml * a) / (a + b);
  const bMl = ml - aMl;
  return { aMl, bMl, aG: aMl * resin.densityA, bG: bMl * resin.densityB };
}

/** Splits a weight of mix, g. 300 g at 100 : 83 by weight → 163.93 and 136.07. */
export const splitByWeight = (g: number, resin: Mixable): Split => split(g / mixedDensity(resin), resin);

/** From this error of the ratio on it is flagged, and from this it stops the pour. */
export const RATIO_FLAG = 0.05;
/** A ratio this far off, a share, does not cure right: the mix is not poured. */
export const RATIO_STOP = 0.1;

/** How far the hardener in the cup is from right for the A in it: (m_B − m_B,right) / m_B,right. */
export function ratioError(aG: number, bG: number, resin: Mixable): number {
  const right = split(1, resin);
  return bG / ((aG * right.bG) / right.aG) - 1;
}

/**
 * What weighing a by-volume ratio in grams would do: 1 : 1 by volume taken as equal grams, 1.15/0.98 → +0.173.
 * Zero where the maker states weights.
 */
export const volumeWeighedError = (resin: Mixable): number =>
  resin.ratio.by === 'volume' ? ratioError(resin.ratio.a, resin.ratio.b, resin) : 0;

/** What to add after one part was over-poured, what the whole then is, and how much more that is than was planned, all g. */
export interface Rescue {
  addA: number;
  addB: number;
  total: number;
  surplus: number;
}

/**
 * Rescue of an over-pour: the part that is ahead stays, the other is brought up to it.
 * @param planned what was planned, g
 * @param aG, bG  what is in the cup, g
 */
export function rescue(planned: Pick<Split, 'aG' | 'bG'>, aG: number, bG: number): Rescue {
  const k = Math.max(aG / planned.aG, bG / planned.bG);
  const whole = planned.aG + planned.bG;
  return { addA: k * planned.aG - aG, addB: k * planned.bG - bG, total: k * whole, surplus: Math.max(0, k - 1) * whole };
}

/** Worst error of the ratio from reading a scale in steps: (δ/2)(1/m_A + 1/m_B); 40 g at 1 g is 5.03 %. */
export const readingError = (parts: Split, stepG: number): number => (stepG / 2) * (1 / parts.aG + 1 / parts.bG);

/** The smallest batch, g, whose ratio a scale of this step can hold within `within`. */
export function smallestWeighable(resin: Mixable, stepG: number, within = RATIO_FLAG): number {
  return readingError(splitByWeight(1, resin), stepG) / within;
}
