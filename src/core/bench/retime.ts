import { stepKey, type Told, type ToldBatch, type ToldStep } from '#core/document';
import { stepsLeft } from '#core/record';
import type { Bench } from './bench';
import { MINUTE, minuteOf } from './minutes';
import { withWindows } from './fresh';

/** What waits for a minute of its batch, and not for the hands. */
const WAITS = new Set<ToldStep['id']['does']>(['additive', 'line', 'white', 'dress', 'rest', 'peel', 'sides']);

/** Lays near the middle of a window that was told are laid there in a new one too, min. */
const AS_TOLD = 1.5;

/** How long hands are on a step, its wait left out, min. */
function handsOn(step: ToldStep, before: ToldStep | undefined, layMin: number): number {
  if (step.id.does === 'rest') return step.minutes ?? 0;
  // A and B meet as soon as hands are free
  if (step.id.does === 'mix') return 0;
  const gap = Math.max(0, step.at - (before?.at ?? 0));
  return WAITS.has(step.id.does) ? Math.min(gap, step.id.does === 'white' ? 0 : layMin / 2) : gap;
}

/** The minute of its batch before which a step is not done; where its window has moved since it was told, it moves along. */
function notBefore(step: ToldStep, told: ToldBatch | undefined, now: ToldBatch | undefined, layMin: number): number {
  const offset = step.at - step.mixedAt;
  switch (step.id.does) {
    case 'white':
    case 'line':
    case 'additive': {
      if (step.id.again !== undefined) return 0;
      // a white without a window of its own is laid when it was told
      if (!told?.white || !told.whiteBest || !now?.white || !now.whiteBest) return Math.max(0, offset);
      const before = step.id.does === 'white' ? 0 : layMin / 2;
      const asTold = Math.abs(offset + before - Math.ceil(told.whiteBest.from)) <= AS_TOLD;
      const lay = asTold ? Math.ceil(now.whiteBest.from) : Math.min(Math.max(offset + before, now.white.from), now.white.until);
      return lay - before;
    }
    case 'dress':
    case 'peel':
    case 'sides':
      // told by the film's own age: as much sooner or later as it has become
      return told && now && told.heatUntil > 0 ? (offset * now.heatUntil) / told.heatUntil : 0;
    default:
      return 0;
  }
}

/** Minutes after A and B of a mixing met until its first cup can be laid. */
const readyAfter = ({ batches, cups }: Pick<Told, 'batches' | 'cups'>, number: number, colourMin: number): number =>
  (batches[number]?.stirMin ?? 0) + colourMin * cups.filter((c) => c.batch === number && (c.doses.length > 0 || c.sandG > 0)).length;

/**
 * What is left of a told plan with the minutes it comes to from now on, by the pace it was told at; waits for a window end
 * where that opens, and no later. What is done keeps the minutes it was told.
 * @param told   as it holds, or as it would
 * @param bench  whose clocks give the windows
 */
export function retimed(told: Told, bench: Bench): Told {
  const { session, now, clocks } = bench;
  const { layMinPerCup: layMin, colourMinPerCup: colourMin } = session.pour.planned.method;
  const left = new Set(stepsLeft({ ...session, told }).map((s) => stepKey(s.id)));
  const batches = told.batches.map((batch, i) => (clocks[i] ? withWindows(batch, clocks[i]) : batch));
  const mixedAt = new Map([...session.mixedAt].map(([i, ms]) => [i, minuteOf(session, ms)] as const));
  const last = Math.max(-Infinity, ...session.doneAt.values());
  let at = Number.isFinite(last) ? minuteOf(session, last) : minuteOf(session, now);
  const nowMin = minuteOf(session, now);
  let before: ToldStep | undefined;
  const steps = told.steps.map((step) => {
    const previous = before;
    before = step;
    if (!left.has(stepKey(step.id))) return step;
    const hands = handsOn(step, previous, layMin);
    at = Math.max(nowMin, at + hands);
    const number = step.batch;
    if (step.id.does === 'mix') mixedAt.set(step.id.batch ?? number, at);
    const mixed = mixedAt.get(number);
    // nothing is laid out of a mix before it is stirred and coloured
    if (mixed !== undefined && step.uses.some((u) => u.ml > 0)) at = Math.max(at, mixed + readyAfter(told, number, colourMin));
    if (mixed !== undefined && step.id.does !== 'mix')
      at = Math.max(at, mixed + notBefore(step, told.batches[number], batches[number], layMin));
    return { ...step, at: Math.round(at * 1000) / 1000, mixedAt: Math.round((mixed ?? at) * 1000) / 1000 };
  });
  return {
    ...told,
    steps,
    batches: batches.map((b, i) => ({ ...b, at: mixedAt.has(i) ? Math.round(mixedAt.get(i)! * 1000) / 1000 : b.at })),
  };
}

/** When the last step of a plan ends, min; 0 where there is none. */
export const endOf = ({ steps }: Pick<Told, 'steps'>): number => steps.at(-1)?.at ?? 0;

/** A minute of the plan as a moment, ms since 1970. */
export function momentOf({ session, now }: Pick<Bench, 'session' | 'now'>, minute: number): number {
  const zero = Math.min(...session.mixedAt.values());
  return (zero === Infinity ? now : zero) + minute * MINUTE;
}
