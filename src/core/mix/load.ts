import { spoonDensity } from '#core/craft';
import type { Colourant, Part, Resin } from '#core/document';
import { mixedDensity } from './ratio';

/** Let-downs in clear, 1 part of colourant to so many of clear. */
const LET_DOWNS = [4, 9, 19, 49];
/** What cups may share of them: one, else two. */
const LET_DOWN_SETS: number[][] = [...LET_DOWNS.map((n) => [n]), ...LET_DOWNS.flatMap((a, i) => LET_DOWNS.slice(i + 1).map((b) => [a, b]))];
const FEWEST_DROPS = 3;
const MOST_DROPS = 20;

/** What to add of one colourant to one cup. */
export interface Dose {
  colourantId: string;
  name: string;
  grams: number;
  /** What that takes up in a spoon or a dropper, ml. */
  ml: number;
  /** Drops before rounding; undefined where it is weighed. */
  drops?: number;
  /** Whole drops to count, of the let-down where there is one. */
  count?: number;
  /** Parts of clear to one of colourant, where the cup needs under three drops or too little to weigh. */
  letDown?: number;
  /** Load of what is counted or weighed. */
  load: number;
}

/** Drops a load comes to: load · resin [g] over the weight of a drop. */
export const dropsFor = (load: number, resinG: number, colourant: Pick<Colourant, 'density'> & { dropMl: number }): number =>
  (load * resinG) / (colourant.dropMl * colourant.density);

/** What a let-down is to bring an amount to: enough to count or weigh, and not so much that it is tedious. */
interface Reach {
  least: number;
  most: number;
}
const DROPS: Reach = { least: FEWEST_DROPS, most: MOST_DROPS };
/** Something is weighed from so many steps of the scale on; a let-down brings it to twice that. */
const WEIGHED_STEPS = 5;
const weighedReach = (stepG: number): Reach => ({ least: 2 * WEIGHED_STEPS * stepG, most: 40 * WEIGHED_STEPS * stepG });

/** The strongest let-down of those offered that brings an amount within reach; else the one that brings it nearest to enough. */
function letDownOf(amount: number, { least, most }: Reach, offered: readonly number[]): number {
  const enough = offered.filter((n) => amount * (n + 1) >= least);
  return enough.find((n) => amount * (n + 1) <= most) ?? enough[0] ?? offered.at(-1)!;
}

/** The let-down that brings a count under three to between 3 and 20, if one does; none where none is offered. */
export const letDownFor = (drops: number, offered: readonly number[] = LET_DOWNS): number | undefined =>
  drops <= 0 || drops >= FEWEST_DROPS || !offered.length ? undefined : letDownOf(drops, DROPS, offered);

/**
 * Let-downs of one colourant that several cups share: one where it does for all of them, else the two that do best.
 * @param needs what each cup needs of it that is too little to count or to weigh
 */
function sharedBy(needs: number[], reach: Reach): number[] {
  const off = (set: number[]): number =>
    needs.reduce((sum, need) => {
      const made = need * (letDownOf(need, reach, set) + 1);
      return sum + (made < reach.least ? Math.log(reach.least / made) : made > reach.most ? Math.log(made / reach.most) : 0);
    }, 0);
  let [best, least] = [LET_DOWN_SETS[0]!, Infinity];
  for (const set of LET_DOWN_SETS) {
    const by = off(set);
    if (by < least - 1e-9) [best, least] = [set, by];
    if (least < 1e-9) break;
  }
  return best;
}

/** Let-downs by the colourant they are of. */
export type LetDowns = ReadonlyMap<string, readonly number[]>;

/** At most two let-downs for each colourant, for all the cups of a pour. @param stepG of the scale, g */
export function letDownsOf(needs: { part: Part; colourant: Colourant; resinG: number }[], stepG: number): LetDowns {
  const shared = new Map<string, number[]>();
  for (const colourant of new Set(needs.map((w) => w.colourant))) {
    const { dropMl } = colourant;
    const own = needs.filter((w) => w.colourant === colourant && w.part.load > 0 && w.resinG > 0);
    const amounts = own.map(({ part, resinG }) =>
      dropMl === undefined ? part.load * resinG : dropsFor(part.load, resinG, { density: colourant.density, dropMl }),
    );
    const few = amounts.filter((amount) => amount < (dropMl === undefined ? WEIGHED_STEPS * stepG : FEWEST_DROPS));
    if (few.length) shared.set(colourant.id, sharedBy(few, dropMl === undefined ? weighedReach(stepG) : DROPS));
  }
  return shared;
}

/**
 * What to put into a cup for one part of its recipe: whole drops, or a weight the scale can show; of a let-down where
 * that would be too little.
 * @param resinG A + B in the cup, g
 * @param stepG  of the scale, g
 * @param offered let-downs that may be used, the strongest first; none for whole drops only
 */
export function dose(part: Part, colourant: Colourant, resinG: number, stepG = 0.1, offered: readonly number[] = LET_DOWNS): Dose {
  const grams = part.load * resinG;
  const base = { colourantId: colourant.id, name: colourant.name, ml: grams / spoonDensity(colourant) };
  if (resinG === 0) return { ...base, grams, load: part.load };
  if (colourant.dropMl === undefined) {
    if (grams <= 0 || grams >= WEIGHED_STEPS * stepG || !offered.length) return { ...base, grams, load: part.load };
    return { ...base, grams, letDown: letDownOf(grams, weighedReach(stepG), offered), load: part.load };
  }
  const drops = dropsFor(part.load, resinG, { density: colourant.density, dropMl: colourant.dropMl });
  const letDown = letDownFor(drops, offered);
  const strength = letDown === undefined ? 1 : 1 / (letDown + 1);
  const count = part.load > 0 ? Math.max(1, Math.round(drops / strength)) : 0;
  const counted = count * strength * colourant.dropMl * colourant.density;
  return {
    ...base,
    grams: counted,
    ml: counted / spoonDensity(colourant),
    drops,
    count,
    ...(letDown && { letDown }),
    load: counted / resinG,
  };
}

/** Whether a load is past a limit: parts that add up to just the limit are not, whatever binary makes of their sum. */
export const isOver = (load: number, limit: number): boolean => load > limit * (1 + 1e-9);

/** All colourants of a cup together, as a fraction of A + B in the measure the maker's limit is stated in. */
export function totalLoad(parts: { load: number; density: number }[], resin: Resin): number {
  const byVolume = resin.loadLimitBy === 'volume';
  return parts.reduce((sum, p) => sum + (byVolume ? (p.load * mixedDensity(resin)) / p.density : p.load), 0);
}
