import type { Colourant, Part, Resin } from '#core/document';
import { mixedDensity } from './ratio';

/** Let-downs in clear, 1 part of colourant to so many of clear. */
const LET_DOWNS = [4, 9, 19];
const FEWEST_DROPS = 3;
const MOST_DROPS = 20;

/** What to add of one colourant to one cup. */
export interface Dose {
  colourantId: string;
  name: string;
  grams: number;
  /** Drops before rounding; undefined where it is weighed. */
  drops?: number;
  /** Whole drops to count, of the let-down where there is one. */
  count?: number;
  /** Parts of clear to one of colourant, where the cup wants under three drops. */
  letDown?: number;
  /** Load of what is counted or weighed. */
  load: number;
}

/** Drops a load comes to: load · resin [g] over the weight of a drop. */
export const dropsFor = (load: number, resinG: number, colourant: Pick<Colourant, 'density'> & { dropMl: number }): number =>
  (load * resinG) / (colourant.dropMl * colourant.density);

/** The weakest let-down that brings a count under three to between 3 and 20, if one does. */
export function letDownFor(drops: number): number | undefined {
  if (drops <= 0 || drops >= FEWEST_DROPS) return undefined;
  return LET_DOWNS.find((n) => drops * (n + 1) >= FEWEST_DROPS && drops * (n + 1) <= MOST_DROPS) ?? LET_DOWNS.at(-1);
}

/**
 * What to put into a cup for one part of its recipe, in whole drops.
 * @param resinG A + B in the cup, g
 */
export function dose(part: Part, colourant: Colourant, resinG: number): Dose {
  const grams = part.load * resinG;
  const base = { colourantId: colourant.id, name: colourant.name };
  if (colourant.dropMl === undefined || resinG === 0) return { ...base, grams, load: part.load };
  const drops = dropsFor(part.load, resinG, { ...colourant, dropMl: colourant.dropMl });
  const letDown = letDownFor(drops);
  const strength = letDown === undefined ? 1 : 1 / (letDown + 1);
  const count = part.load > 0 ? Math.max(1, Math.round(drops / strength)) : 0;
  const counted = count * strength * colourant.dropMl * colourant.density;
  return { ...base, grams: counted, drops, count, ...(letDown && { letDown }), load: counted / resinG };
}

/** All colourants of a cup together, as a fraction of A + B in the measure the maker's limit is stated in. */
export function totalLoad(parts: { load: number; density: number }[], resin: Resin): number {
  const byVolume = resin.loadLimitBy === 'volume';
  return parts.reduce((sum, p) => sum + (byVolume ? (p.load * mixedDensity(resin)) / p.density : p.load), 0);
}
