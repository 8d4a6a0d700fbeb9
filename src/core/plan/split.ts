import type { Resin } from '#core/document';
import { planBatch, type Batch, type Bench } from './batch';
import type { CoatPlan } from './coats';
import { portionsOf, type Cup } from './cups';
import { planSteps, type Step } from './steps';
import { strainsOf, type Strain } from './strain';

/** Cups that must come out of one mixing, so that they are equally old: those of a wave; any other stands alone. */
type Unit = Cup[];

/** Coats mixed: in what batches, in what steps, and the coats with the cups that really are filled. */
export interface Mixed {
  batches: Batch[];
  steps: Step[];
  laid: CoatPlan[];
}

/** More portions of one cup than this are not planned; what strains then is said. */
const PORTIONS = 40;

/** Nobody is on the minute: a batch is split where a cup would be emptied less than this before it runs away, min. */
const IN_HAND = 5;

const keyed = (cups: Cup[]): Set<string> => new Set(cups.map((c) => c.key));

/** The cups of coats of one resin as units; those that share a key across pieces are one. */
function unitsOf(coats: CoatPlan[]): Unit[] {
  const units: Unit[] = [];
  for (const { coat, cups } of coats)
    for (const own of coat.kind === 'wave' ? [cups] : cups.map((c) => [c])) {
      const keys = keyed(own);
      const known = units.find((u) => u.some((c) => keys.has(c.key)));
      if (!known) units.push([...own]);
      else known.push(...own.filter((c) => !known.some((k) => k.key === c.key)));
    }
  return units;
}

/** Coats of one resin, begun anew at each that wants a mixing of its own. */
const runsOf = (coats: CoatPlan[]): CoatPlan[][] =>
  coats.reduce<CoatPlan[][]>((runs, c) => {
    if (!runs.length || c.coat.ownBatch) runs.push([c]);
    else runs.at(-1)!.push(c);
    return runs;
  }, []);

/** What would strain some cups mixed at once and worked by themselves. */
function strainsAlone(resin: Resin, cups: Cup[], coats: CoatPlan[], bench: Bench): Strain[] {
  const keys = keyed(cups);
  const own = coats.map((c) => ({ ...c, cups: c.cups.filter((k) => keys.has(k.key)) })).filter((c) => c.cups.length);
  const batch = planBatch(resin, cups, own, bench);
  return strainsOf(batch, 0, planSteps(own, [batch], bench.method), bench, IN_HAND);
}

/** A cup that heats itself too much even alone, in the fewest portions that do not. */
function portioned(resin: Resin, [cup, ...rest]: Unit, coats: CoatPlan[], bench: Bench): Unit[] {
  const whole = [[cup!, ...rest]];
  if (rest.length) return whole;
  const hot = (cups: Cup[], all: CoatPlan[]): boolean => strainsAlone(resin, cups, all, bench).some((s) => s.kind !== 'outlasts');
  if (!hot([cup!], coats)) return whole;
  for (let n = 2; n <= PORTIONS; n++) {
    const portions = portionsOf({ resin, ...bench }, cup!, n);
    if (!hot([portions[0]!], replaced(coats, new Map([[cup!.key, portions]])))) return portions.map((p) => [p]);
  }
  return whole;
}

const replaced = (coats: CoatPlan[], portions: Map<string, Cup[]>): CoatPlan[] =>
  coats.map((c) => ({ ...c, cups: c.cups.flatMap((k) => portions.get(k.key) ?? [k]) }));

const sign = (strain: Strain): string => (strain.kind === 'outlasts' ? strain.kind : `${strain.kind} ${strain.standing.key ?? ''}`);

/**
 * Units in the fewest batches that are not strained, in the order they are laid. What strains a unit even by itself is
 * no reason to part it from others, as long as it does not strain them.
 */
function divided(resin: Resin, units: Unit[], coats: CoatPlan[], bench: Bench): Cup[][] {
  const strains = (cups: Cup[]): string[] => strainsAlone(resin, cups, coats, bench).map(sign);
  const groups: Cup[][] = [];
  for (const unit of units) {
    const last = groups.at(-1);
    const together = last && strains([...last, ...unit]);
    const alone = together?.length ? strains(unit) : [];
    if (last && together!.every((s) => alone.includes(s))) last.push(...unit);
    else groups.push([...unit]);
  }
  return groups;
}

/** One mixing to be: a resin's cups, and what a larger one would have strained. */
interface Group {
  resin: Resin;
  cups: Cup[];
  because?: Strain;
}

function assembled(groups: Group[], laid: CoatPlan[], bench: Bench): Mixed {
  const batches = groups.map(({ resin, cups, because }) => ({ ...planBatch(resin, cups, laid, bench), ...(because && { because }) }));
  return { batches, steps: planSteps(laid, batches, bench.method), laid };
}

/**
 * Mixes coats: each resin at once, or in as many batches as it takes for none to heat itself past use before it is
 * emptied nor to outlast its working time.
 * @param coats  in the order they are laid
 * @param resins whose order the batches follow
 */
export function mixed(coats: CoatPlan[], resins: Resin[], bench: Bench): Mixed {
  const runs = resins.flatMap((resin) =>
    runsOf(coats.filter((c) => c.coat.resinId === resin.id && c.cups.length)).map((run) => ({ resin, run, units: unitsOf(run) })),
  );
  const groups = runs.map(({ resin, units }): Group => ({ resin, cups: units.flat() }));
  const whole = assembled(groups, coats, bench);
  if (bench.method.batches !== 'split when needed') return whole;
  const worst = whole.batches.map((batch, i) => strainsOf(batch, i, whole.steps, bench, IN_HAND)[0]);
  if (worst.every((strain) => !strain)) return whole;

  let laid = coats;
  const split = runs.flatMap(({ resin, run, units }, i): Group[] => {
    const because = worst[i];
    if (!because) return [groups[i]!];
    const smaller = units.map((unit) => portioned(resin, unit, run, bench));
    const portions = new Map(smaller.flatMap((of, k) => (of.length > 1 ? [[units[k]![0]!.key, of.flat()] as const] : [])));
    laid = replaced(laid, portions);
    const parts = divided(resin, smaller.flat(), replaced(run, portions), bench);
    return parts.map((cups) => ({ resin, cups, ...(parts.length > 1 && { because }) }));
  });
  return assembled(split, laid, bench);
}
