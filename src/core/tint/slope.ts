import type { Colourant, Part, Resin, MixturePart, Slope, SlopeCup } from '#core/document';
import { totalLoad } from '#core/mix';
import { groundNamed } from './ground';
import { seenColour, stackOver, type Rgb } from './layer';
import { recipeLayer } from './recipe';
import { deltaE, hue } from './differ';
import { lightness } from './screen';

/** What keeps a cup from the lightness it was asked for: its colourants' limit, the clear ground itself, or the mixture. */
export type Stop = 'limit' | 'ground' | 'mixture';

/** A load found, the lightness it gives, and what stopped it where that is not the one asked for. */
export interface Found {
  load: number;
  lightness: number;
  stops?: Stop;
}

/** Loads a search looks at before it closes in. */
const SCANNED = 28;
/** Lightness this near counts as reached; the eye tells about 0.02. */
const REACHED = 5e-4;

/**
 * The smallest load at which a lightness is seen, by bisection between loads that lie on either side of it. Where none
 * lies on the other side, the nearest one and why.
 * @param at   lightness of a load, 0 to `most`; continuous
 * @param most the load the makers allow, a fraction of A + B
 */
export function loadFor(wanted: number, at: (load: number) => number, most: number): Found {
  const scanned = Array.from({ length: SCANNED + 1 }, (_, i) => most * (i / SCANNED) ** 3).map((load) => ({ load, lightness: at(load) }));
  const over = scanned.map((s) => s.lightness - wanted);
  const k = over.findIndex((d, i) => i > 0 && d * over[i - 1]! <= 0);
  if (k > 0) {
    let [low, high] = [scanned[k - 1]!.load, scanned[k]!.load];
    const sign = Math.sign(over[k - 1]! || -over[k]!);
    while (high - low > 1e-9 + 1e-7 * high) {
      const load = (low + high) / 2;
      if ((at(load) - wanted) * sign > 0) low = load;
      else high = load;
    }
    const load = (low + high) / 2;
    return { load, lightness: at(load) };
  }
  const nearest = scanned.reduce((best, s) => (Math.abs(s.lightness - wanted) < Math.abs(best.lightness - wanted) ? s : best));
  if (Math.abs(nearest.lightness - wanted) <= REACHED) return nearest;
  return { ...nearest, stops: nearest.load === 0 ? 'ground' : nearest.load === most ? 'limit' : 'mixture' };
}

/** A mixture with its parts adding up to 1; empty where all of them are nothing. */
export function mixtureOf(shares: MixturePart[]): Part[] {
  const sum = shares.reduce((s, { parts }) => s + parts, 0);
  return sum > 0 ? shares.filter((s) => s.parts > 0).map(({ colourantId, parts }) => ({ colourantId, load: parts / sum })) : [];
}

/** Two mixtures run into one another: `share` of the second. */
export function blend(a: Part[], b: Part[], share: number): Part[] {
  const ids = [...new Set([...a, ...b].map((p) => p.colourantId))];
  const of = (mixture: Part[], id: string): number => mixture.find((p) => p.colourantId === id)?.load ?? 0;
  return ids.map((id) => ({ colourantId: id, load: (1 - share) * of(a, id) + share * of(b, id) })).filter((p) => p.load > 0);
}

/** A mixture at another load: its parts that add up to 1, each times it. */
export const scaled = (mixture: Part[], load: number): Part[] => mixture.map((p) => ({ ...p, load: p.load * load }));

/** The most of a mixture that the resin's maker and those of its colourants allow, as a fraction of A + B by weight. */
export function mostOf(mixture: Part[], resin: Resin, colourants: Colourant[]): number {
  const known = mixture.flatMap((p) => {
    const colourant = colourants.find((c) => c.id === p.colourantId);
    return colourant ? [{ load: p.load, density: colourant.density, limit: colourant.limit ?? Infinity }] : [];
  });
  const measured = totalLoad(known, resin);
  if (measured <= 0) return 0;
  return Math.min(resin.loadLimit / measured, ...known.map((k) => k.limit / k.load));
}

/** A film of a recipe over a ground, as it is seen. @param film mm @param ground internal reflectance */
export const recipeSeen = (recipe: Part[], colourants: Colourant[], film: number, ground: Rgb): Rgb =>
  seenColour(stackOver([recipeLayer(recipe, colourants, film)], ground));

export interface SolvedCup {
  cup: SlopeCup;
  /** Loads before they are rounded to drops. */
  recipe: Part[];
  /** OKLab lightness asked for and reached. */
  wanted: number;
  lightness: number;
  seen: Rgb;
  stops?: Stop;
}

export interface SolvedSlope {
  /** Deep to shore. */
  cups: SolvedCup[];
  /** From each cup to the next toward the shore: in lightness, and as CIEDE2000. */
  steps: { lightness: number; deltaE: number }[];
  /** Degrees the hue turns at the shore, and the most that the mixture it runs toward can turn it. */
  turn: { reached: number; most: number };
}

/** What a slope is solved with. */
export interface SlopeMeans {
  resin: Resin;
  colourants: Colourant[];
  /** Internal reflectance of the ground it is made even over. */
  ground: Rgb;
}

const turnBetween = (a: Rgb, b: Rgb): number => {
  const [from, to] = [hue(a), hue(b)];
  if (from === undefined || to === undefined) return 0;
  return Math.abs(((to - from + 540) % 360) - 180);
};

/** How much of `toward` the shore's mixture takes, so that its hue is turned as wanted at the shore's own lightness. */
function shareFor(wanted: number, turned: (share: number) => number): { share: number; reached: number; most: number } {
  const STEPS = 10;
  const at = Array.from({ length: STEPS + 1 }, (_, i) => turned(i / STEPS));
  const most = Math.max(...at);
  const k = at.findIndex((t) => t >= wanted);
  if (wanted <= 0) return { share: 0, reached: 0, most };
  if (k < 0) return { share: at.indexOf(most) / STEPS, reached: most, most };
  let [low, high] = [Math.max(0, k - 1) / STEPS, k / STEPS];
  for (let i = 0; i < 14; i++) {
    const share = (low + high) / 2;
    if (turned(share) < wanted) low = share;
    else high = share;
  }
  return { share: high, reached: turned(high), most };
}

/** What each cup is asked for: even steps between the ends and the cups that are locked. */
function wantedOf(locked: (number | undefined)[], deepest: number, palest: number): number[] {
  const last = locked.length - 1;
  const fixed = locked.map((l, i) => l ?? (i === 0 ? deepest : i === last ? palest : undefined));
  return fixed.map((l, i) => {
    if (l !== undefined) return l;
    const below = fixed.findLastIndex((f, k) => k < i && f !== undefined);
    const above = fixed.findIndex((f, k) => k > i && f !== undefined);
    return fixed[below]! + ((fixed[above]! - fixed[below]!) * (i - below)) / (above - below);
  });
}

/**
 * A slope of even steps of lightness (OKLab L of what is seen; Ottosson 2020) at its planned film and ground. One
 * unknown a cup, its total load; the mixture runs straight from the deep one to the shore's, and locked cups stay as
 * they are. A cup that cannot be reached comes as near as it can, with what stops it.
 * Film 1.5, ground 0.8, phthalo blue, L 0.72 to 0.40 in five → load 0.000303 0.000654 0.001179 0.001960 0.003158.
 */
export function solveSlope(
  slope: Omit<Slope, 'id' | 'name' | 'resinId' | 'ground'>,
  { resin, colourants, ground }: SlopeMeans,
): SolvedSlope {
  const seen = (recipe: Part[]): Rgb => recipeSeen(recipe, colourants, slope.film, ground);
  const find = (mixture: Part[], wanted: number): Found =>
    loadFor(wanted, (load) => lightness(seen(scaled(mixture, load))), mostOf(mixture, resin, colourants));
  const [deep, toward] = [mixtureOf(slope.deep), mixtureOf(slope.toward)];
  const shown = (mixture: Part[]): Rgb => seen(scaled(mixture, find(mixture, slope.palest).load));
  const unturned = shown(deep);
  const turn = toward.length
    ? shareFor(slope.turn, (share) => turnBetween(unturned, shown(blend(deep, toward, share))))
    : { share: 0, reached: 0, most: 0 };

  const last = slope.cups.length - 1;
  const locked = slope.cups.map((cup) => cup.recipe && lightness(seen(cup.recipe)));
  const wanted = wantedOf(locked, slope.deepest, slope.palest);
  const cups = slope.cups.map((cup, i): SolvedCup => {
    if (cup.recipe) return { cup, recipe: cup.recipe, wanted: wanted[i]!, lightness: locked[i]!, seen: seen(cup.recipe) };
    const mixture = blend(deep, toward, (turn.share * i) / last);
    const { load, ...found } = find(mixture, wanted[i]!);
    const recipe = scaled(mixture, load).filter((p) => p.load > 0);
    return { cup, recipe, wanted: wanted[i]!, ...found, seen: seen(recipe) };
  });
  return {
    cups,
    steps: stepsOf(cups.map((c) => c.seen)),
    turn: { reached: turn.reached, most: turn.most },
  };
}

/** From each colour to the next: how much lighter, and how far apart as CIEDE2000. */
export const stepsOf = (colours: Rgb[]): SolvedSlope['steps'] =>
  colours.slice(1).map((c, i) => ({ lightness: lightness(c) - lightness(colours[i]!), deltaE: deltaE(c, colours[i]!) }));

/** What a slope is made with in a studio. @throws RangeError where its resin is not there */
export function slopeMeans(
  slope: Pick<Slope, 'resinId' | 'ground'>,
  { resins, colourants }: { resins: Resin[]; colourants: Colourant[] },
): SlopeMeans {
  const resin = resins.find((r) => r.id === slope.resinId);
  if (!resin) throw new RangeError('this slope names a resin that is not on the shelf');
  return { resin, colourants, ground: groundNamed(slope.ground).internal };
}
