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
const STARTS = [0.002, 0.03, 0.3];
/** A step of the search in the logarithm of a load, to begin with and where it ends. */
const [STEP, FINEST] = [Math.log(2.2), 0.01];

function starts(n: number): number[][] {
  return Array.from({ length: STARTS.length ** n }, (_, k) =>
    Array.from({ length: n }, (_, i) => STARTS[Math.floor(k / STARTS.length ** i) % STARTS.length]!),
  );
}

/** The best loads of one choice of colourants: from the best of a few starts, steps along each load that halve (Hooke and Jeeves 1961). */
function bestOf(ids: string[], target: Rgb, { resin, colourants, film, ground }: MatchIn): { recipe: Part[]; deltaE: number } {
  const most = ids.map((id) => mostOf([{ colourantId: id, load: 1 }], resin, colourants));
  /** What is over the limit together is taken back in proportion. */
  const recipeOf = (loads: number[]): Part[] => {
    const recipe = ids.map((colourantId, i) => ({ colourantId, load: loads[i]! }));
    return scaled(recipe, Math.min(1, mostOf(recipe, resin, colourants)));
  };
  const off = (loads: number[]): number => deltaE(recipeSeen(recipeOf(loads), colourants, film, ground), target);
  let best = { loads: [] as number[], off: Infinity };
  for (const start of starts(ids.length)) {
    const loads = start.map((s, i) => s * most[i]!);
    const found = off(loads);
    if (found < best.off) best = { loads, off: found };
  }
  let step = STEP;
  while (step > FINEST) {
    let moved = false;
    for (let i = 0; i < ids.length; i++)
      for (const by of [Math.exp(step), Math.exp(-step)]) {
        const loads = best.loads.map((l, k) => (k === i ? Math.min(most[k]!, l * by) : l));
        const found = off(loads);
        if (found < best.off - 1e-9) {
          best = { loads, off: found };
          moved = true;
          break;
        }
      }
    if (!moved) step /= 2;
  }
  return { recipe: recipeOf(best.loads), deltaE: best.off };
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
    const { recipe } = bestOf(ids, target, into);
    const made = counted(recipe, into.colourants, into.resinG, into.scaleStep);
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
