import { stepKey, type StepRef, type Told, type ToldStep } from '#core/document';
import type { Happening } from '#core/record';
import type { Writes } from '#core/units';
import type { Bench } from '../bench';
import { endOf, momentOf, retimed } from '../retime';

/** One figure of a plan, as it was told and as it would be. */
export interface Changed {
  what: string;
  was: string;
  now: string;
}

/** One way to go on. */
export interface Way {
  /** What the hands do, in a sentence, and why that. */
  does: string;
  why: string;
  changes: Changed[];
  /** What it costs: resin, minutes, a further session. */
  costs: string[];
  /** Until when it can be taken, ms since 1970. */
  by?: number;
  /** What is recorded when it is taken. */
  happening: Happening;
}

/** The rest of a pour planned anew: what happened, and the ways on, the best first. There is always one. */
export interface Replan {
  /** The same for as long as it is about the same thing: what was refused is not offered again. */
  name: string;
  says: string;
  why: string;
  /** Whether it waits for an answer, or only stands by. */
  urgent: boolean;
  ways: [Way, ...Way[]];
}

/** How a plan is said: in the studio's units, and moments as its clock shows them. */
export interface Saying {
  write: Writes;
  time: (ms: number) => string;
}

/** What looks at a pour for one thing that has gone another way. */
export type Look = (bench: Bench, said: Saying) => Replan | undefined;

/** Sub-millimetre rounding of told figures keeps records small. */
const names = (told: Told, step: ToldStep): string =>
  new Set(told.coats.map((c) => c.piece)).size > 1 ? ` on ${step.boards.map((b) => b.name).join(' and ')}` : '';

/** What of a plan is compared: when the white is laid, when the last pass is made, when all is covered. */
function milestones({ steps }: Told, left: ReadonlySet<string>): { what: string; step: ToldStep }[] {
  const coming = steps.filter((s) => left.has(stepKey(s.id)));
  return [
    ...coming.filter((s) => s.id.does === 'white').map((step) => ({ what: 'White', step })),
    ...coming.filter((s) => s.id.does === 'heat' && s.id.pass === s.passes).map((step) => ({ what: 'Last heat pass', step })),
    ...coming.filter((s) => s.id.does === 'cover').map((step) => ({ what: 'Covered', step })),
  ];
}

/** Nearer than this nothing has changed for a hand, min. */
const SAME = 1;

/** What changes from one plan to another, of what is still to be done. */
export function changesOf(bench: Bench, next: Told, { time }: Saying): Changed[] {
  const { told, doneAt, skipped } = bench.session;
  const left = (plan: Told): Set<string> =>
    new Set(plan.steps.map((s) => stepKey(s.id)).filter((key) => !doneAt.has(key) && !skipped.has(key)));
  const [before, after] = [milestones(told, left(told)), milestones(next, left(next))];
  const find = (list: typeof before, key: string) => list.find((m) => stepKey(m.step.id) === key)?.step;
  const keys = [...new Set([...before, ...after].map((m) => stepKey(m.step.id)))];
  return keys.flatMap((key): Changed[] => {
    const [was, now] = [find(before, key), find(after, key)];
    const { what, step } = [...before, ...after].find((m) => stepKey(m.step.id) === key)!;
    if (was && now && Math.abs(was.at - now.at) < SAME) return [];
    const at = (s: ToldStep | undefined, none: string): string => (s ? time(momentOf(bench, s.at)) : none);
    return [{ what: what + names(was ? told : next, step), was: at(was, 'not told'), now: at(now, 'left out') }];
  });
}

/** A way that puts another plan in the place of the told one, its minutes counted from now. */
export function planned(bench: Bench, told: Told, way: Pick<Way, 'does' | 'why' | 'costs'> & { by?: number }, said: Saying): Way {
  const next = retimed(told, bench);
  const later = Math.round(endOf(next) - endOf(retimed(bench.session.told, bench)));
  return {
    does: way.does,
    why: way.why,
    changes: changesOf(bench, next, said),
    costs: [...way.costs, ...(later > 0 ? [`${later} min more at the bench`] : later < 0 ? [`${-later} min less at the bench`] : [])],
    ...(way.by !== undefined && { by: way.by }),
    happening: { kind: 'replanned', told: next, why: way.does },
  };
}

/** A plan without some of its steps that are still to be done. */
export const without = (bench: Bench, drop: (step: ToldStep) => boolean): Told => {
  const { told, doneAt } = bench.session;
  return { ...told, steps: told.steps.filter((s) => doneAt.has(stepKey(s.id)) || !drop(s)) };
};

/** Whether a step is of one coat of one piece. */
export const isOf = (step: ToldStep, { piece, coat }: StepRef): boolean => step.id.piece === piece && step.id.coat === coat;
