import { cupKey, stepKey, type Pour, type PourEvent, type StepRef, type Told, type ToldStep } from '#core/document';
import { weightsOf } from '#core/pour';
import { effective, momentOf, timesOf, toldOf, type Times } from './times';

/** A pour's events read beside what it was told. */
export interface Session extends Times {
  pour: Pour;
  told: Told;
  /** When each step was done, by its key; ms since 1970. */
  doneAt: Map<string, number>;
  /** Steps that were left out, by their keys. */
  skipped: Set<string>;
  /** The tool is on the board, or hands are off it, since; ms since 1970. */
  heatOn?: number;
  held?: number;
  /** The first step not done yet; undefined when the pour is over. */
  current?: ToldStep;
}

/** Whether a step is a pass of heat: toward the sea, or back from it. */
export const isPass = ({ does }: Pick<StepRef, 'does'>): boolean => does === 'heat' || does === 'push';

/** Since when something is so that one kind of event begins and others end; undefined where it is over. */
function sinceOf(events: PourEvent[], begins: PourEvent['kind'], ends: (event: PourEvent) => boolean): number | undefined {
  const last = events.findLast((e) => e.kind === begins || ends(e));
  return last?.kind === begins ? momentOf(last) : undefined;
}
const heatOnIn = (events: PourEvent[]): number | undefined =>
  sinceOf(events, 'heat on', (e) => e.kind === 'heat pass' || (e.kind === 'did' && isPass(e.step)) || e.kind === 'skipped' || isEnd(e));
const heldIn = (events: PourEvent[]): number | undefined => sinceOf(events, 'held', (e) => e.kind === 'went on' || isEnd(e));
const isEnd = ({ kind }: PourEvent): boolean => kind === 'done' || kind === 'abandoned';

/** The steps an event completes, if they are among those told. A heat pass counts once a white is laid. */
function stepsOf(event: PourEvent, { steps, cups }: Told, doneAt: Map<string, number>): ToldStep[] {
  const isDone = (step: ToldStep): boolean => doneAt.has(stepKey(step.id));
  switch (event.kind) {
    case 'mixed':
      return steps.filter((s) => s.id.does === 'mix' && s.id.batch === event.batch);
    case 'did':
      return steps.filter((s) => stepKey(s.id) === stepKey(event.step));
    case 'poured': {
      const cup = cups.find((c) => c.was === event.cup);
      // the version before told no thinning: a cup that was poured had been coloured
      return cup
        ? steps.filter(
            (s) =>
              (s.id.does === 'thin' && s.batch === cup.batch) ||
              (s.id.does === 'pour' && s.uses.some((u) => cupKey(u.cup) === cupKey(cup.id))),
          )
        : [];
    }
    case 'white laid':
      // the version before laid clear and white in one step
      return steps.filter((s) => ['additive', 'line', 'white'].includes(s.id.does) && s.id.coat === event.coatId);
    case 'heat pass': {
      const white = steps.findLast((s) => s.id.does === 'white' && isDone(s));
      const next =
        white && steps.find((s) => s.id.does === 'heat' && s.id.piece === white.id.piece && s.id.coat === white.id.coat && !isDone(s));
      return next ? [next] : [];
    }
    case 'done':
      return steps.filter((s, i) => s.id.does === 'cover' || i === steps.length - 1);
    default:
      return [];
  }
}

/** A pour as its events tell it: what it was told, what is done and when, and the step it is at. */
export function readSession(pour: Pour): Session {
  const times = timesOf(pour);
  const told = toldOf(pour);
  const doneAt = new Map<string, number>();
  for (const event of times.events)
    for (const step of stepsOf(event, told, doneAt)) if (!doneAt.has(stepKey(step.id))) doneAt.set(stepKey(step.id), momentOf(event));
  const skipped = new Set(times.events.flatMap((e) => (e.kind === 'skipped' && !doneAt.has(stepKey(e.step)) ? [stepKey(e.step)] : [])));
  const over = times.done !== undefined || times.abandoned !== undefined;
  const current = over ? undefined : told.steps.find((s) => !doneAt.has(stepKey(s.id)) && !skipped.has(stepKey(s.id)));
  const [heatOn, held] = [heatOnIn(times.events), heldIn(times.events)];
  return {
    ...times,
    pour,
    told,
    doneAt,
    skipped,
    ...(heatOn !== undefined && { heatOn }),
    ...(held !== undefined && { held }),
    ...(current && { current }),
  };
}

/** Steps that are neither done nor left out, in order; none once the pour is over. */
export const stepsLeft = ({ told, doneAt, skipped, current }: Session): ToldStep[] =>
  current ? told.steps.filter((s) => !doneAt.has(stepKey(s.id)) && !skipped.has(stepKey(s.id))) : [];

/** Seconds each pass of heat took that was timed, by the number of the event that ended it. */
export function heatSeconds(events: PourEvent[]): Map<number, number> {
  const seconds = new Map<number, number>();
  let on: number | undefined;
  for (const event of events) {
    if (event.kind === 'heat on') on = momentOf(event);
    const ends = event.kind === 'heat pass' || (event.kind === 'did' && isPass(event.step));
    if (ends && on !== undefined) seconds.set(event.seq, (momentOf(event) - on) / 1000);
    if (ends || event.kind === 'skipped') on = undefined;
  }
  return seconds;
}

/**
 * Whether something that is about to be recorded already stands, as when one step is tapped in two windows: it happened
 * once. A weight, a note and a pass of heat beyond those told may well come twice.
 */
export function isRecorded(happening: PourEvent, events: PourEvent[]): boolean {
  const all = effective(events);
  switch (happening.kind) {
    case 'mixed':
      return all.some((e) => e.kind === 'mixed' && e.batch === happening.batch);
    case 'did':
      return all.some((e) => e.kind === 'did' && stepKey(e.step) === stepKey(happening.step));
    case 'skipped':
      return all.some((e) => (e.kind === 'did' || e.kind === 'skipped') && stepKey(e.step) === stepKey(happening.step));
    case 'ready':
      return happening.items.every((item) => all.some((e) => e.kind === 'ready' && e.items.includes(item)));
    case 'added':
      return happening.steps.some(({ id }) => all.some((e) => e.kind === 'added' && e.steps.some((s) => stepKey(s.id) === stepKey(id))));
    case 'replanned': {
      const last = all.findLast((e) => e.kind === 'replanned');
      return last?.kind === 'replanned' && JSON.stringify(last.told) === JSON.stringify(happening.told);
    }
    case 'heat on':
      return heatOnIn(all) !== undefined;
    case 'held':
      return heldIn(all) !== undefined;
    case 'went on':
      return heldIn(all) === undefined;
    case 'refused':
      return all.some((e) => e.kind === 'refused' && e.plan === happening.plan);
    case 'done':
    case 'abandoned':
      return all.some((e) => e.kind === 'done' || e.kind === 'abandoned');
    case 'undone':
      return !all.some((e) => e.seq === happening.undoes);
    default:
      return false;
  }
}

/** Heat passes beyond those that were told. */
export const extraHeat = ({ events, told, doneAt }: Session): number => {
  const passes = events.filter((e) => e.kind === 'heat pass' || (e.kind === 'did' && isPass(e.step))).length;
  return Math.max(0, passes - told.steps.filter((s) => isPass(s.id) && doneAt.has(stepKey(s.id))).length);
};

/** One line of planned beside done; minutes after the pour's first meeting of A and B. */
export interface Compared {
  step: ToldStep;
  planned: number;
  done?: number;
  /** It was left out. */
  skipped?: true;
}

/** Every step with its planned and its real minute, from the first meeting of A and B; what was asked for at the bench among them. */
export function plannedBesideDone(session: Session): Compared[] {
  const zero = Math.min(...session.mixedAt.values());
  return session.told.steps.map((step) => {
    const at = session.doneAt.get(stepKey(step.id));
    const skipped = session.skipped.has(stepKey(step.id));
    return {
      step,
      planned: step.at,
      ...(at !== undefined && zero !== Infinity && { done: (at - zero) / 60_000 }),
      ...(skipped && { skipped: true as const }),
    };
  });
}

/** Weights of A and B that were read at the scale, batch by batch. */
export const weighed = ({ events, told }: Session): { batch: number; aG: number; bG: number }[] =>
  told.batches.flatMap((_, batch) => {
    const { aG, bG } = weightsOf(events, told, batch);
    return aG !== undefined && bG !== undefined ? [{ batch, aG, bG }] : [];
  });
