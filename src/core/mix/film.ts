import { SAND_DENSITY } from '#core/craft';
import type { Method } from '#core/document';

/** Film laid over an area, ml: A [mm²] · t [mm] / 1000. */
export const filmVolume = (areaMm2: number, filmMm: number): number => (areaMm2 * filmMm) / 1000;

/** A film as the coverage artists speak of, ml per 100 cm². */
export const coverage = (filmMm: number): number => 10 * filmMm;

/**
 * What runs over an open rim, ml: the film left on the board's side, and what drips off; the greater of the two where
 * drips are painted up the sides.
 * @param rimMm       open rim, mm
 * @param thicknessMm depth of the board's side, mm
 */
export function runOver(rimMm: number, thicknessMm: number, method: Method): number {
  const side = (rimMm * thicknessMm * method.sideFilm) / 1000;
  const drips = dripsOf(rimMm, method);
  // what is painted up the sides as it thickens is the film they would have taken anyway
  return method.runOff === 'painted up' ? Math.max(side, drips) : side + drips;
}

/** What drips off an open rim, ml. */
export const dripsOf = (rimMm: number, method: Method): number => (rimMm / 1000) * method.dripPerM;

/** A coat with its spare, ml. */
export const withSpare = (ml: number, method: Method): number => ml * (1 + method.spare);

/** What a vessel must hold so that `needed` ml leave it; the mixing cup is a vessel too. 100 → 103.061. */
export const cupContent = (neededMl: number, method: Method): number =>
  neededMl > 0 ? (neededMl + method.cupStays) / (1 - method.cupShare) : 0;

/**
 * Volume share of sand stirred into resin, φ.
 * Above 0.60 sand no longer wets through; the document's bound of 3 to 1 stays below that.
 * @param perResin sand by weight for each weight of resin; 1.5 at ρ 1.10 → 0.384
 * @param density  of the mixed resin, g/ml
 */
export function sandShare(perResin: number, density: number): number {
  const sand = perResin / SAND_DENSITY;
  return sand / (sand + 1 / density);
}

/** What a line laid from a stick or spout holds across, mm²: a cap, two thirds of its width and height. */
export const lineArea = (widthMm: number, heightMm: number): number => (2 / 3) * widthMm * heightMm;

/** Cap of a line laid from a stick or spout, ml: ⅔ · width · height · length, all mm. */
export const lineVolume = (widthMm: number, heightMm: number, lengthMm: number): number => (lineArea(widthMm, heightMm) * lengthMm) / 1000;

/** White for a strip of foam, ml: its film over its reach, less what opens. */
export const foamVolume = (lengthMm: number, reachMm: number, method: Method): number =>
  (lengthMm * reachMm * method.foamFilm * (1 - method.foamOpen)) / 1000;
