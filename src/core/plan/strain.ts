import { rate } from '#core/cure';
import type { Batch, Bench, Standing } from './batch';
import type { Step } from './steps';

/** What is too much for one batch: a cup that heats itself past use before it is emptied, or work that outlasts the mix. Clock minutes. */
export type Strain =
  { kind: 'runs away' | 'past working'; standing: Standing; emptied: number } | { kind: 'outlasts'; needed: number; working: number };

/** Steps that use a batch, the end of the pour left out. */
const own = (steps: Step[], index: number): Step[] => steps.filter((s) => s.batch === index && s.kind !== 'done');

/** When the plan empties a standing cup: its last step, or for a mixing cup that fills others the end of colouring. */
function emptiedAt({ key }: Standing, { resin, cups }: Batch, steps: Step[], { method }: Bench): number {
  const wanted = key ?? (cups.length === 1 ? cups[0]!.key : undefined);
  const step = steps.findLast(
    (s) => (s.kind === 'pour' && s.cup.key === wanted) || (s.kind === 'white' && s.cups.some((c) => c.key === wanted)),
  );
  return step ? step.at - step.mixedAt : resin.stirMin + method.colourMinPerCup * cups.length;
}

/** Hands-on time of a batch, from the first meeting of A and B to its last step, min. */
export const handsOn = (steps: Step[], index: number): number => {
  const last = own(steps, index).at(-1);
  return last ? last.at - last.mixedAt : 0;
};

/** How long a mix can be worked in a film, clock min at the bench's temperature. */
export const workable = ({ resin }: Batch, { method, roomC }: Bench): number =>
  resin.workingMin / rate(roomC, resin.refC, method.activationEa);

/**
 * What strains a batch in the plan it is part of, the worst first.
 * @param inHand minutes that must be left between emptying a cup and its running away or going past working
 */
export function strainsOf(batch: Batch, index: number, steps: Step[], bench: Bench, inHand = 0): Strain[] {
  const heat = batch.standing.flatMap((standing): Strain[] => {
    const emptied = emptiedAt(standing, batch, steps, bench);
    if (standing.course.runawayMin <= emptied + inHand) return [{ kind: 'runs away', standing, emptied }];
    return standing.workingMin <= emptied ? [{ kind: 'past working', standing, emptied }] : [];
  });
  const needed = handsOn(steps, index);
  const working = workable(batch, bench);
  return [...heat, ...(needed > working ? [{ kind: 'outlasts' as const, needed, working }] : [])];
}
