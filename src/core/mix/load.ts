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

/** Clear that thins a cup with too much of one colourant back to what was wanted. */
export interface Thinning {
  /** Mixed clear to add, g. */
  clearG: number;
  /** What the other colourants then want, g. */
  tops: { colourantId: string; grams: number }[];
  /** A + B in the cup afterwards, g. */
  resinG: number;
}

/**
 * Rescue of a cup in which one colourant is over: clear until its load is right again, and more of the others.
 * @param resinG A + B in the cup, g
 * @param grams  of the colourant that is over, g
 * @param recipe of the cup
 */
export function thinned(resinG: number, grams: number, colourantId: string, recipe: Part[]): Thinning {
  const wanted = recipe.find((p) => p.colourantId === colourantId)?.load ?? 0;
  const clearG = wanted > 0 ? Math.max(0, grams / wanted - resinG) : Infinity;
  return {
    clearG,
    tops: recipe.flatMap((p) =>
      p.colourantId === colourantId || p.load === 0 ? [] : [{ colourantId: p.colourantId, grams: p.load * clearG }],
    ),
    resinG: resinG + clearG,
  };
}

/** All colourants of a cup together, as a fraction of A + B in the measure the maker's limit is stated in. */
export function totalLoad(parts: { load: number; density: number }[], resin: Resin): number {
  const byVolume = resin.loadLimitBy === 'volume';
  return parts.reduce((sum, p) => sum + (byVolume ? (p.load * mixedDensity(resin)) / p.density : p.load), 0);
}
