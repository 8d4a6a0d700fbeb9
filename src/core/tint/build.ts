import type { Colourant, Part, Resin } from '#core/document';
import { mixedDensity, type Dose } from '#core/mix';
import { measurable } from './counted';
import type { Rgb } from './layer';
import { lightness } from './screen';
import { loadFor, mostOf, recipeSeen, type Found, type Stop } from './slope';

/** One step of building a slope from one cup: clear is put in, then colourant, then one cup is poured off. */
export interface BuildStep {
  /** Index of the cup that is poured off, deep to shore. */
  cup: number;
  clearMl: number;
  add: Dose[];
  pourOff: number;
  /** What stands in the mixing cup before the pouring, ml. */
  inCup: number;
  /** The recipe it then really has, whole drops carried along. */
  recipe: Part[];
  /** Why this cup is not as light as it was asked to be. */
  stops?: Stop;
}

/** All steps, first to last, and what is mixed to begin with, ml; or why it cannot be built this way. */
export type Built = { ok: true; startMl: number; steps: BuildStep[] } | { ok: false; says: string };

/** A cup that is wanted, deep to shore: its amount, ml, and its recipe. */
export interface WantedCup {
  name: string;
  ml: number;
  recipe: Part[];
}

export interface Bottle {
  resin: Resin;
  colourants: Colourant[];
  /** Reading step of the scale for what is weighed, g. */
  scaleStep: number;
  /** Whole drops only, and nothing thinned. */
  whole?: boolean;
}

const of = (recipe: Part[], id: string): number => recipe.find((p) => p.colourantId === id)?.load ?? 0;
const idsOf = (cups: WantedCup[]): string[] => [...new Set(cups.flatMap((c) => c.recipe.map((p) => p.colourantId)))];

/** Brings what is in the cup up to a wanted recipe: what is added, and the recipe it then has. */
function toppedUp(now: Part[], wanted: Part[], ids: string[], resinG: number, { colourants, scaleStep, whole }: Bottle) {
  const add: Dose[] = [];
  const recipe = ids.flatMap((id): Part[] => {
    const colourant = colourants.find((c) => c.id === id);
    const lacks = of(wanted, id) - of(now, id);
    const more = colourant && lacks > 0 ? measurable({ colourantId: id, load: lacks }, colourant, resinG, scaleStep, whole) : undefined;
    if (more) add.push(more);
    const load = of(now, id) + (more?.load ?? 0);
    return load > 0 ? [{ colourantId: id, load }] : [];
  });
  return { add, recipe };
}

/**
 * Upward: all of it is tinted as the palest cup, that is poured off, and the next gets (c_j − c'_{j−1}) · left, where c'
 * is what whole drops really made of the cup before. What falls toward the deep by more than half of what can be
 * measured cannot be taken out again. Colourants' own volume is left out of the amounts.
 */
export function fromPalest(cups: WantedCup[], bottle: Bottle): Built {
  const density = mixedDensity(bottle.resin);
  const ids = idsOf(cups);
  const order = cups.map((_, i) => i).reverse();
  let left = cups.reduce((sum, c) => sum + c.ml, 0);
  const startMl = left;
  let now: Part[] = [];
  const steps: BuildStep[] = [];
  for (const [k, index] of order.entries()) {
    const { ml, recipe: wanted, name } = cups[index]!;
    const paler = order[k - 1];
    const falls =
      paler === undefined
        ? undefined
        : bottle.colourants.find((c) => {
            const half = (c.dropMl === undefined ? bottle.scaleStep : c.dropMl * c.density) / 2;
            return (of(cups[paler]!.recipe, c.id) - of(wanted, c.id)) * left * density > half;
          });
    if (falls)
      return {
        ok: false,
        says: `${name} takes less ${falls.name} than ${cups[paler!]!.name}, and nothing comes out of a cup again. Build it downward, or let ${falls.name} rise toward the deep.`,
      };
    const { add, recipe } = toppedUp(now, wanted, ids, left * density, bottle);
    steps.push({ cup: index, clearMl: 0, add, pourOff: ml, inCup: left, recipe });
    now = recipe;
    left -= ml;
  }
  return { ok: true, startMl, steps };
}

/**
 * Downward with clear: the deepest is mixed first and poured off; what is left is thinned until the colourant that
 * falls most is right, and the others are brought up to it. Drops are carried along as upward.
 */
export function fromDeepest(cups: WantedCup[], bottle: Bottle): Built {
  const density = mixedDensity(bottle.resin);
  const ids = idsOf(cups);
  /** How much of the cup before stays, in a part of the next: the share its most falling colourant keeps. */
  const kept = (j: number): number =>
    Math.min(1, ...cups[j - 1]!.recipe.filter((p) => p.load > 0).map((p) => of(cups[j]!.recipe, p.colourantId) / p.load));
  // amounts are counted back from the shore: each level holds its own cup and what is thinned into the next
  const levels = cups.map((c) => c.ml);
  for (let j = cups.length - 1; j > 0; j--) levels[j - 1]! += levels[j]! * kept(j);
  let now: Part[] = [];
  let left = 0;
  const steps = cups.map(({ ml, recipe: wanted }, j): BuildStep => {
    const clearMl = j === 0 ? 0 : levels[j]! - left;
    if (j > 0) now = now.map((p) => ({ ...p, load: (p.load * left) / levels[j]! }));
    const { add, recipe } = toppedUp(now, wanted, ids, levels[j]! * density, bottle);
    now = recipe;
    left = levels[j]! - ml;
    return { cup: j, clearMl: Math.max(0, clearMl), add, pourOff: ml, inCup: levels[j]!, recipe };
  });
  return { ok: true, startMl: levels[0]!, steps };
}

/** What a slope lightened with white is seen as: lightness asked of each cup, in a film over a ground. */
export interface Lightened {
  wanted: number[];
  /** mm */
  film: number;
  ground: Rgb;
  whiteId: string;
}

/**
 * Downward with white: everything is tinted as the deepest, which is poured off; each next cup gets white until it is
 * as light as was asked. It comes paler and more opaque than one that is thinned.
 */
export function withWhite(cups: WantedCup[], { wanted, film, ground, whiteId }: Lightened, bottle: Bottle): Built {
  const { resin, colourants } = bottle;
  const deepest = cups[0]!.recipe;
  const base = deepest.filter((p) => p.colourantId !== whiteId);
  const before = of(deepest, whiteId);
  const most = mostWhite(base, whiteId, resin, colourants);
  const found = cups.map((_, j): Pick<Found, 'load' | 'stops'> => {
    const at = (load: number): number => lightness(recipeSeen([...base, { colourantId: whiteId, load }], colourants, film, ground));
    return j === 0 ? { load: before } : loadFor(wanted[j]!, (more) => at(before + more), Math.max(0, most - before));
  });
  const recipes = found.map(({ load }, j): Part[] => [...base, { colourantId: whiteId, load: j === 0 ? load : before + load }]);
  const built = fromPalest(cups.map((c, j) => ({ ...c, recipe: recipes[j]! })).reverse(), bottle);
  if (!built.ok) return built;
  return {
    ...built,
    steps: built.steps.map((step) => {
      const cup = cups.length - 1 - step.cup;
      const { stops } = found[cup]!;
      return { ...step, cup, ...(stops && { stops }) };
    }),
  };
}

/** The most white that can join a recipe within its makers' limits. */
function mostWhite(base: Part[], whiteId: string, resin: Resin, colourants: Colourant[]): number {
  const own = colourants.find((c) => c.id === whiteId)?.limit ?? Infinity;
  const fits = (load: number): boolean => mostOf([...base, { colourantId: whiteId, load }], resin, colourants) >= 1;
  let [low, high] = [0, Math.min(own, 1)];
  for (let i = 0; i < 40; i++) {
    const load = (low + high) / 2;
    if (fits(load)) low = load;
    else high = load;
  }
  return low;
}
