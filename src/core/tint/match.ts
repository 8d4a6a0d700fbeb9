import type { Colourant, Part, Resin } from '#core/document';
import { counted, type Counted } from './counted';
import type { Rgb } from './layer';
import { deltaE } from './differ';
import { mostOf, recipeSeen, scaled } from './slope';

/** What a colour is matched in: a film over a ground, and the cup that is filled. */
export interface MatchIn {
  resin: Resin;
  colourants: Colourant[];
  /** mm */
  film: number;
  /** Internal reflectance. */
  ground: Rgb;
  /** A + B in the cup, and the reading step of the scale, g. */
  resinG: number;
  scaleStep: number;
  /** Whole drops only, and nothing thinned. */
  whole?: boolean;
}

/** A tint that can be made, whole drops and all, and how far it is from what was wanted (CIEDE2000). */
export interface Match extends Counted {
  seen: Rgb;
  deltaE: number;
}

/** At most this many colourants to a tint. */
const MOST_IN_ONE = 3;

/** Every choice of one to three colourants. */
export function choices(ids: string[]): string[][] {
  const grown = (chosen: string[], from: number): string[][] =>
    ids.slice(from).flatMap((id, i) => {
      const next = [...chosen, id];
      return [next, ...(next.length < MOST_IN_ONE ? grown(next, from + i + 1) : [])];
    });
  return grown([], 0);
}

/** Loads a search starts from, as shares of the most a colourant may hold. */
const STARTS = [0.002, 0.01, 0.05, 0.2, 0.7];
/** A step of the search in the logarithm of a load, to begin with and where it ends. */
const [STEP, FINEST] = [Math.log(2.2), 0.01];

function starts(n: number): number[][] {
  return Array.from({ length: STARTS.length ** n }, (_, k) =>
    Array.from({ length: n }, (_, i) => STARTS[Math.floor(k / STARTS.length ** i) % STARTS.length]!),
  );
}

/** Ways to step: each load up or down by itself, and one up for another down, since two blues stand in for each other. */
const waysOf = (n: number): number[][] => {
  const unit = (i: number, by: number): number[] => Array.from({ length: n }, (_, k) => (k === i ? by : 0));
  const each = Array.from({ length: n }, (_, i) => i);
  return [
    ...each.flatMap((i) => [unit(i, 1), unit(i, -1)]),
    ...each.flatMap((i) => each.filter((j) => j !== i).map((j) => unit(i, 1).map((v, k) => (k === j ? -1 : v)))),
  ];
};

/** Starts that are followed to their end: two hues may lie as near at first, and only one of them leads on. */
const FOLLOWED = 3;

/** Loads of a choice of colourants, and how far they are off. */
interface Tried {
  loads: number[];
  off: number;
}

/** From a start, steps that halve along and across the loads, each success gone on with while it helps (Hooke and Jeeves 1961). */
function descend(from: Tried, most: number[], off: (loads: number[]) => number): Tried {
  let best = from;
  const better = (loads: number[]): boolean => {
    const held = loads.map((l, k) => Math.min(most[k]!, l));
    const found = off(held);
    if (found >= best.off - 1e-9) return false;
    best = { loads: held, off: found };
    return true;
  };
  const ways = waysOf(most.length);
  let step = STEP;
  while (step > FINEST) {
    const before = best.loads;
    for (const way of ways) better(best.loads.map((l, k) => l * Math.exp(step * way[k]!)));
    if (best.loads === before) step /= 2;
    else while (better(best.loads.map((l, k) => (l * l) / before[k]!))) continue;
  }
  return best;
}

/** The best recipe of one choice of colourants. */
function bestOf(ids: string[], target: Rgb, { resin, colourants, film, ground }: MatchIn): Part[] {
  const most = ids.map((id) => mostOf([{ colourantId: id, load: 1 }], resin, colourants));
  /** What is over the limit together is taken back in proportion. */
  const recipeOf = (loads: number[]): Part[] => {
    const recipe = ids.map((colourantId, i) => ({ colourantId, load: loads[i]! }));
    return scaled(recipe, Math.min(1, mostOf(recipe, resin, colourants)));
  };
  const off = (loads: number[]): number => deltaE(recipeSeen(recipeOf(loads), colourants, film, ground), target);
  const begun = starts(ids.length).map((start): Tried => {
    const loads = start.map((s, i) => s * most[i]!);
    return { loads, off: off(loads) };
  });
  const ends = begun
    .sort((a, b) => a.off - b.off)
    .slice(0, FOLLOWED)
    .map((start) => descend(start, most, off));
  return recipeOf(ends.reduce((best, e) => (e.off < best.off ? e : best)).loads);
}

/** A recipe counted so that what is rounded up does not carry it over a limit: then it is counted from a little less. */
function countedWithin(recipe: Part[], { resin, colourants, resinG, scaleStep, whole }: MatchIn): Counted {
  for (let share = 1; share > 0; share -= 0.02) {
    const made = counted(scaled(recipe, share), colourants, resinG, scaleStep, whole);
    if (!made.recipe.length || mostOf(made.recipe, resin, colourants) >= 1 - 1e-9) return made;
  }
  return { doses: [], recipe: [] };
}

/**
 * The nearest tints that can be made with at most three of the colourants within their limits, nearest first: smallest
 * CIEDE2000 of the recipe as it can be counted into the cup. More than 3 away is never a match.
 * @param target    as seen, linear sRGB
 * @param keep      how many to give
 * @param onchoice  told after each choice of colourants how many are done, of how many
 */
export function matchTint(target: Rgb, into: MatchIn, keep = 3, onchoice?: (done: number, of: number) => void): Match[] {
  const usable = into.colourants.filter((c) => mostOf([{ colourantId: c.id, load: 1 }], into.resin, into.colourants) > 0);
  const all = choices(usable.map((c) => c.id));
  const seenOf = (recipe: Part[]): Rgb => recipeSeen(recipe, into.colourants, into.film, into.ground);
  const found: Match[] = [];
  all.forEach((ids, i) => {
    const made = countedWithin(bestOf(ids, target, into), into);
    const seen = seenOf(made.recipe);
    found.push({ ...made, seen, deltaE: deltaE(seen, target) });
    onchoice?.(i + 1, all.length);
  });
  // as near with fewer colourants is nearer: a bottle less to count from
  const fewer = (m: Match): number => m.deltaE + 0.15 * m.doses.length;
  found.sort((a, b) => fewer(a) - fewer(b));
  // too little of a colourant to be counted makes two choices one
  const same = (m: Match): string => m.doses.map((d) => d.colourantId).join();
  return found.filter((m, i) => found.findIndex((f) => same(f) === same(m)) === i).slice(0, keep);
}
