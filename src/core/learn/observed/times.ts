import { cupKey, stepKey, type ToldCup, type ToldStep } from '#core/document';
import { benchClockOf } from '#core/pour';
import { heatSeconds, isPass } from '#core/record';
import type { Looked, Seen } from '../observation';

const MINUTE = 60_000;
/** A step that took so many times what it was planned for was interrupted. */
const INTERRUPTED = 5;
/** A hand that presses twice within this, min, did not do the second. */
const LEAST = 0.15;
/** Below so many ml the time of a cup is that of taking it up, from so many on that of laying it. */
const [LITTLE, MUCH] = [15, 40];

/** A step with how long it took, from the one before it, min, where nothing was waited for between them. */
function took({ session }: Looked): { step: ToldStep; minutes: number }[] {
  const { told, doneAt, events } = session;
  const breaks = events.filter((e) => e.kind === 'held' || e.kind === 'went on').map((e) => Date.parse(e.at));
  const done = told.steps
    .map((step) => ({ step, at: doneAt.get(stepKey(step.id)) }))
    .filter((d): d is { step: ToldStep; at: number } => d.at !== undefined)
    .sort((a, b) => a.at - b.at);
  return done.slice(1).flatMap(({ step, at }, i) => {
    const before = done[i]!;
    const planned = step.at - before.step.at;
    const minutes = (at - before.at) / MINUTE;
    const held = breaks.some((b) => b > before.at && b < at);
    return planned > 0 && !held && minutes > LEAST && minutes < INTERRUPTED * planned ? [{ step, minutes }] : [];
  });
}

const laid = ({ uses }: ToldStep): number => uses.reduce((sum, u) => sum + u.ml, 0);

/** How a hand lays a cup: ml a minute where there is much in it, minutes where there is little. */
export function laying(looked: Looked): Seen[] {
  const { layMinPerCup, layMlPerMin } = looked.session.pour.planned.method;
  const { told } = looked.session;
  const index = new Map(told.steps.map((s, i) => [s, i]));
  return took(looked).flatMap(({ step, minutes }): Seen[] => {
    if (step.id.does !== 'pour' || step.thread) return [];
    // what comes right after a mixing has its stirring and colouring in it
    const before = told.steps[index.get(step)! - 1];
    if (!before || before.id.does === 'mix' || before.id.does === 'thin') return [];
    const ml = laid(step);
    if (ml >= MUCH && minutes > layMinPerCup + 0.2) return [{ figure: 'laying rate', value: ml / (minutes - layMinPerCup) }];
    if (ml > 0 && ml <= LITTLE) {
      const own = minutes - (layMlPerMin ? ml / layMlPerMin : 0);
      return own > LEAST ? [{ figure: 'minutes to lay a cup', value: own }] : [];
    }
    return [];
  });
}

/** How long it takes to colour a cup: from A and B together to the first cup laid, without stirring and laying, for each cup coloured. */
export function colouring({ session }: Looked): Seen[] {
  const { told, doneAt, mixedAt, pour } = session;
  const { layMinPerCup, layMlPerMin } = pour.planned.method;
  return told.batches.flatMap(({ stirMin }, batch): Seen[] => {
    const first = told.steps.find((s) => s.batch === batch && s.id.does !== 'mix' && s.id.does !== 'thin');
    const at = first && doneAt.get(stepKey(first.id));
    const mixed = mixedAt.get(batch);
    const cups = told.cups.filter((c) => c.batch === batch && (c.doses.length > 0 || c.sandG > 0)).length;
    if (!first || at === undefined || mixed === undefined || first.id.does !== 'pour' || cups === 0) return [];
    const whole = (at - mixed) / MINUTE;
    const own = whole - stirMin - layMinPerCup - (layMlPerMin ? laid(first) / layMlPerMin : 0);
    const planned = first.at - first.mixedAt;
    return own > LEAST && whole < INTERRUPTED * planned ? [{ figure: 'minutes to colour a cup', value: own / cups }] : [];
  });
}

/** How long a pass of heat takes, min: those that were timed and not rehearsed. */
export function passes({ session }: Looked): Seen[] {
  const seconds = heatSeconds(session.events);
  return session.events.flatMap((event): Seen[] => {
    const s = seconds.get(event.seq);
    if (s === undefined || event.kind !== 'did' || !isPass(event.step)) return [];
    const step = session.told.steps.find((t) => stepKey(t.id) === stepKey(event.step));
    return step && !step.air && s > 5 ? [{ figure: 'minutes of a heat pass', value: s / 60 }] : [];
  });
}

/** Working time by cups that went thick: as much longer than stated as they lasted beyond what their clock says. */
export function working({ session, planner }: Looked): Seen[] {
  const { told, events, mixedAt, pour } = session;
  return events.flatMap((event): Seen[] => {
    if (event.kind !== 'cup lost' || event.how !== 'gone thick') return [];
    const cup = told.cups.find((c: ToldCup) => cupKey(c.id) === cupKey(event.cup));
    const mixed = cup && mixedAt.get(cup.batch);
    const batch = cup && told.batches[cup.batch];
    const resin = batch && pour.planned.resins.find((r) => r.id === batch.resinId);
    if (!cup || !resin || mixed === undefined) return [];
    const clock = benchClockOf(pour, told, cup.batch, planner);
    const stated = clock?.cups.find((c) => c.name === cup.name)?.workingMin;
    const lasted = (Date.parse(event.at) - mixed) / MINUTE;
    if (!stated || !Number.isFinite(stated) || lasted < 1) return [];
    return [{ figure: 'working time', of: resin.id, value: (resin.workingMin * lasted) / stated }];
  });
}
