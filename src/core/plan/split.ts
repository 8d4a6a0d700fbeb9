import type { Method, Resin } from '#core/document';
import { smallestWeighable } from '#core/mix';
import { planBatch, type Batch, type Strain } from './batch';
import type { Care } from './courses';
import type { Bench } from './means';
import type { CoatPlan } from './coats';
import { portionsOf, type Cup } from '#core/coat';
import { planSteps, type Step } from './steps';
import { strainsOf } from './strain';

/** Cups that must come out of one mixing, so that they are equally old: those of a wave; any other stands alone. */
type Unit = Cup[];

/** Coats mixed: in what batches, in what steps, and the coats with the cups that really are filled. */
export interface Mixed {
  batches: Batch[];
  steps: Step[];
  coats: CoatPlan[];
}

/** More portions of one cup than a few helpers can hold are not planned; what strains then is said. */
const PORTIONS = 4;

/** Nobody is on the minute: a batch is split where a cup would be emptied less than this before it runs away, min. */
const IN_HAND = 5;

/** What may be done for a mix before it is divided, the least trouble first. A cup is filled as soon as it is stirred anyway. */
const CARES: Care[] = [{ wide: true }, { cooler: 5 }, { wide: true, cooler: 5 }];

const keyed = (cups: Cup[]): Set<string> => new Set(cups.map((c) => c.key));

/**
 * The cups of coats of one resin as units; those that share a cup are one. One that a wave joins comes as late as the
 * wave, so that its white is not mixed before it is laid.
 */
function unitsOf(coats: CoatPlan[]): Unit[] {
  const units: Unit[] = [];
  for (const { coat, cups } of coats)
    for (const own of coat.kind === 'wave' ? [cups] : cups.map((c) => [c])) {
      const keys = keyed(own);
      const known = units.filter((u) => u.some((c) => keys.has(c.key)));
      const all = [...new Map([...known.flat(), ...own].map((c) => [c.key, c])).values()];
      if (known.length === 1 && coat.kind !== 'wave') units[units.indexOf(known[0]!)] = all;
      else {
        for (const unit of known) units.splice(units.indexOf(unit), 1);
        units.push(all);
      }
    }
  return units;
}

/** Coats of one resin, begun anew at each that asks for a mixing of its own. */
const runsOf = (coats: CoatPlan[]): CoatPlan[][] =>
  coats.reduce<CoatPlan[][]>((runs, c) => {
    if (!runs.length || c.coat.ownBatch) runs.push([c]);
    else runs.at(-1)!.push(c);
    return runs;
  }, []);

/** What would strain some cups mixed at once and worked by themselves. */
function strainsAlone(resin: Resin, cups: Cup[], coats: CoatPlan[], bench: Bench, care?: Care): Strain[] {
  const keys = keyed(cups);
  const own = coats.map((c) => ({ ...c, cups: c.cups.filter((k) => keys.has(k.key)) })).filter((c) => c.cups.length);
  const batch = planBatch(resin, cups, bench, care);
  return strainsOf(batch, 0, planSteps(own, [batch], bench), bench, IN_HAND);
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

const sign = (strain: Strain): string => (strain.kind === 'outlasts' ? strain.kind : `${strain.kind} ${strain.cup.key ?? ''}`);

/** What some cups strain in the easiest vessel they can be mixed in, and what that takes. */
function easiest(resin: Resin, cups: Cup[], coats: CoatPlan[], bench: Bench): { care?: Care; strains: string[] } {
  const plain = strainsAlone(resin, cups, coats, bench);
  if (!plain.some((s) => s.kind !== 'outlasts' && !s.cup.key)) return { strains: plain.map(sign) };
  for (const care of CARES) {
    const strains = strainsAlone(resin, cups, coats, bench, care);
    if (strains.every((s) => s.kind === 'outlasts' || s.cup.key)) return { care, strains: strains.map(sign) };
  }
  return { strains: plain.map(sign) };
}

/**
 * Units in the fewest batches that are not strained, in the order they are laid. What strains a unit even by itself is
 * no reason to part it from others, as long as it does not strain them.
 */
function divided(resin: Resin, units: Unit[], coats: CoatPlan[], bench: Bench): Cup[][] {
  const strains = (cups: Cup[]): string[] => easiest(resin, cups, coats, bench).strains;
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

/** One mixing to be: a resin's cups, what a larger one would have strained, and what is done that this one does not. */
interface Group {
  resin: Resin;
  run: CoatPlan[];
  cups: Cup[];
  because?: Strain;
  care?: Care;
}

const gramsOf = (cups: Cup[]): number => cups.reduce((sum, c) => sum + c.parts.aG + c.parts.bG, 0);

/** Least that is mixed at once, g: the studio's habit, or what its scale can weigh in ratio. */
const leastMix = (resin: Resin, { method, scaleStep }: Bench): number =>
  Math.max(method.smallestMix ?? 0, smallestWeighable(resin, scaleStep));

const merged = (groups: Group[], i: number): Group[] => {
  const [a, b] = [groups[i]!, groups[i + 1]!];
  return [...groups.slice(0, i), { ...a, cups: [...a.cups, ...b.cups] }, ...groups.slice(i + 2)];
};

/** Whether a mixing and the next are of one run, so that they may be one. */
const joins = (groups: Group[], i: number): boolean => i >= 0 && groups[i + 1] !== undefined && groups[i]!.run === groups[i + 1]!.run;

/** Mixings under the least that can be mixed are taken into a neighbour, and the smallest neighbours into one while they are too many. */
function handful(groups: Group[], most: number, bench: Bench): Group[] {
  let kept = groups;
  for (;;) {
    const small = kept.findIndex((g, i) => gramsOf(g.cups) < leastMix(g.resin, bench) && (joins(kept, i - 1) || joins(kept, i)));
    if (small < 0) break;
    kept = merged(kept, joins(kept, small - 1) ? small - 1 : small);
  }
  while (kept.length > most) {
    const pairs = kept.flatMap((g, i) => (joins(kept, i) ? [{ i, grams: gramsOf(g.cups) + gramsOf(kept[i + 1]!.cups) }] : []));
    const least = pairs.sort((a, b) => a.grams - b.grams)[0];
    if (!least) break;
    kept = merged(kept, least.i);
  }
  return kept;
}

function assembled(groups: Group[], coats: CoatPlan[], bench: Bench): Mixed {
  const batches = groups.map(({ resin, cups, because, care }) => ({ ...planBatch(resin, cups, bench, care), ...(because && { because }) }));
  return { batches, steps: planSteps(coats, batches, bench), coats };
}

/** Whether a studio asks for batches to be divided where one mixing would do harm. */
export const divides = ({ batches }: Pick<Method, 'batches'>): boolean => batches === 'split when needed';

/**
 * Mixes coats: each resin at once, or where that would do harm (a cup that heats itself past use before it is emptied,
 * work that outlasts the mix) in a wide vessel or from cool bottles, and only then in several batches. None is smaller than
 * can be mixed well, and there are no more of them than the studio is ready for; what then still strains is said.
 * @param coats  in the order they are laid, with the cups they share
 * @param resins whose order the batches follow, their times as ages of a film
 */
export function mixed(coats: CoatPlan[], resins: Resin[], bench: Bench): Mixed {
  const runs = resins.flatMap((resin) =>
    runsOf(coats.filter((c) => c.coat.resinId === resin.id && c.cups.length)).map((run) => ({ resin, run, units: unitsOf(run) })),
  );
  const groups = runs.map(({ resin, run, units }): Group => ({ resin, run, cups: units.flat() }));
  const whole = assembled(groups, coats, bench);
  if (!divides(bench.method)) return whole;
  const worst = whole.batches.map((batch, i) => strainsOf(batch, i, whole.steps, bench, IN_HAND));
  if (worst.every((strains) => !strains.length)) return whole;

  let laid = coats;
  const split = runs.flatMap(({ resin, run, units }, i): Group[] => {
    const [because] = worst[i]!;
    if (!because) return [groups[i]!];
    // a mixing cup that gets too warm is helped by a wide vessel or cool bottles before anything is divided
    const { care, strains } = easiest(resin, units.flat(), run, bench);
    if (care && !strains.length && worst[i]!.every((s) => s.kind !== 'outlasts')) return [{ ...groups[i]!, care }];
    const smaller = units.map((unit) => portioned(resin, unit, run, bench));
    const portions = new Map(smaller.flatMap((of, k) => (of.length > 1 ? [[units[k]![0]!.key, of.flat()] as const] : [])));
    laid = replaced(laid, portions);
    return divided(resin, smaller.flat(), replaced(run, portions), bench).map((cups) => ({ resin, run, cups, because }));
  });
  const kept = handful(split, bench.method.mostMixings ?? Infinity, bench).map((group): Group => {
    const own = laid.filter((c) => group.run.some((r) => r.coat === c.coat && r.piece === c.piece));
    const { care } = easiest(group.resin, group.cups, own, bench);
    return { ...group, ...(care && { care }) };
  });
  const parted = kept.map((group) => {
    const { because, ...alone } = group;
    return because && kept.filter((k) => k.run === group.run).length > 1 ? group : alone;
  });
  return assembled(parted, laid, bench);
}
