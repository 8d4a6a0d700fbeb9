import { minuteOfAge, type CupCourse } from '#core/cure';
import { cupKey } from '#core/document';
import type { Batch, Strain, WaitingCup } from './batch';
import type { Bench } from './means';
import type { Step } from './steps';

/** Minutes to fill one cup out of the mixing cup: all are filled as soon as it is stirred, and coloured then. */
const FILL = 0.3;

/** What is done with a mix while it can be worked: heat is the last, and all that comes later waits for the film. */
const WORK = new Set(['mix', 'thin', 'pour', 'press', 'additive', 'line', 'white', 'rest', 'flick', 'heat']);

/** Steps that use a batch while it must be workable. */
const own = (steps: Step[], index: number): Step[] => steps.filter((s) => s.batch === index && WORK.has(s.id.does));

/** When the plan empties a waiting cup: its last step, or for a mixing cup that fills others when they are filled. */
function emptiedAt({ key }: WaitingCup, { resin, cups }: Batch, steps: Step[]): number {
  const emptiedKey = key ?? (cups.length === 1 ? cups[0]!.key : undefined);
  const step = steps.findLast((s) => WORK.has(s.id.does) && s.uses.some((u) => cupKey(u.cup) === emptiedKey));
  return step ? step.at - step.mixedAt : resin.stirMin + FILL * cups.length;
}

/** Hands-on time of a batch, from the first meeting of A and B to its last step, min. */
export const handsOn = (steps: Step[], index: number): number => {
  const last = own(steps, index).at(-1);
  return last ? last.at - last.mixedAt : 0;
};

/** How long a mix can be worked in a film, clock min in the bench's air. */
export const workable = ({ resin }: Pick<Batch, 'resin'>, { method, air }: Pick<Bench, 'method' | 'air'>): number =>
  minuteOfAge(resin.workingMin, air, resin.refC, method.activationEa);

/**
 * What strains a batch in the plan it is part of, the worst first.
 * @param inHand minutes that must be left between emptying a cup and its running away or going past working
 * @param sooner part of its time that everything comes at, less than 1 to see what would strain were the guesses off
 */
export function strainsOf(
  batch: Batch,
  index: number,
  steps: Step[],
  bench: Pick<Bench, 'method' | 'air'>,
  inHand = 0,
  sooner = 1,
): Strain[] {
  const heat = batch.waiting.flatMap((cup): Strain[] => {
    const emptied = emptiedAt(cup, batch, steps);
    const runs = ({ runawayMin }: CupCourse): boolean => runawayMin * sooner <= emptied + inHand;
    const past = cup.workingMin * sooner <= emptied + inHand;
    if (runs(cup.course) || (past && !cup.key && runs(cup.left()))) return [{ kind: 'runs away', cup, emptied }];
    return cup.workingMin * sooner <= emptied ? [{ kind: 'past working', cup, emptied }] : [];
  });
  const needed = handsOn(steps, index);
  const working = workable(batch, bench) * sooner;
  return [...heat, ...(needed > working ? [{ kind: 'outlasts' as const, needed, working }] : [])];
}
