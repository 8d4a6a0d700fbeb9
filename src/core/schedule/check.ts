import { momentOfAge } from './ages';
import { fits } from './places';
import { slotsOf, weights, type Footprint, type Job, type Operation, type Plan, type Problem, type Step } from './problem';

/** Ages are looked up to within this, min. */
const NEAR = 1e-6;

/** What is wrong with a plan, each in a sentence for who works on the planner, and what it costs, in sixtieths. */
export interface Checked {
  wrong: string[];
  cost: number;
}

interface Lies {
  place: number;
  from: number;
  until: number;
  boards: Footprint[];
  job: Job;
}

/** What happened with the film of an operation; minutes. */
interface Laid {
  tack: number;
  handle: number;
  laid: number;
  step: Step;
  operation: Operation;
}

/**
 * Checks a plan against its problem, minute by minute and slot by slot, and adds up what it costs. It knows nothing of how
 * plans are made.
 */
export function check(problem: Problem, plan: Plan): Checked {
  const { slot, slots } = problem;
  const end = slot * slots;
  const wrong: string[] = [];
  const owner: (string | undefined)[] = [];
  const lies: Lies[] = problem.lying.map(({ place, until, boards, job }) => ({
    place,
    from: 0,
    until,
    boards,
    job: (job === undefined ? undefined : problem.jobs[job]) ?? {
      id: 'what lies',
      pieces: [],
      boards,
      operations: [],
      begins: { from: 0, hard: 0 },
    },
  }));
  let cost = 0;

  const take = (id: string, start: number, minutes: number, pinned: boolean): void => {
    if (!Number.isInteger(start) || start < 0) wrong.push(`${id} begins at no slot`);
    for (let t = start; t < start + slotsOf(minutes, problem); t++) {
      if (t >= slots) wrong.push(`${id} ends after the last slot`);
      if (owner[t] !== undefined) wrong.push(`${id} and ${owner[t]} both want the hands in slot ${t}`);
      owner[t] = id;
      if (t < problem.busyUntil) wrong.push(`${id} begins while hands are at work`);
      if (!pinned && !problem.hands[t]) wrong.push(`${id} wants hands in slot ${t} that are not there`);
    }
  };

  problem.jobs.forEach((job, j) => {
    const steps = plan.jobs[j]!;
    if (!steps.length && job.operations.length) {
      if (!plan.unplanned[j]) wrong.push(`${job.id} is not planned, and nothing is said of why`);
      return;
    }
    let free = job.begins.from;
    let last: Laid | undefined;
    let ends = 0;
    job.operations.forEach((operation, i) => {
      const { id, minutes, link, film, along, late = 0 } = operation;
      const step = steps[i];
      if (!step) return void wrong.push(`${id} is missing`);
      const from = step.start * slot;
      const begins = from + (step.late ? late : 0);
      const laid = begins + minutes;
      // whether a pin holds is by when the operation itself begins, a scuff before it or not
      const held = operation.pin !== undefined && !plan.unpinned.includes(id);
      take(id, step.start, laid - from, held);
      if (held && operation.pin !== step.start + (step.late ? slotsOf(late, problem) : 0)) wrong.push(`${id} is not where it is pinned`);
      if (from < free) wrong.push(`${id} begins before what is before it is done`);
      let span: { from: number; until: number } = { from: operation.notBefore ?? 0, until: operation.until ?? Infinity };
      if (link.kind === 'dry') span.from = Math.max(span.from, free + (i > 0 ? link.minutes : 0));
      else if (last) {
        const ages = problem.ages[link.of ?? last.operation.film!.of]![problem.places[last.step.place]!.room]!;
        const opens = momentOfAge(ages, link.from, last.laid, slot);
        span = { from: Math.max(span.from, opens), until: Math.min(span.until, momentOfAge(ages, link.until, last.laid, slot)) };
      }
      if (from < span.from - NEAR) wrong.push(`${id} begins at ${from}, before ${span.from}`);
      if (operation.late !== undefined && !step.late && begins > span.until + NEAR)
        wrong.push(`${id} begins after its window, without a scuff`);
      if (step.late) cost += weights.scuff * late;
      free = laid;
      if (film) {
        const { room } = problem.places[step.place]!;
        const ages = problem.ages[film.of]![room]!;
        const tack = momentOfAge(ages, film.tack, laid, slot);
        const handle = momentOfAge(ages, film.handle, laid, slot);
        const before = last ? last.handle : job.begins.hard;
        const stays = last ? last.step.place : job.begins.place;
        if (from < before && stays !== undefined && stays !== step.place) wrong.push(`${id} is moved while it is soft`);
        lies.push({ place: step.place, from, until: handle, boards: job.boards, job });
        const { out, damp } = problem.rooms[room]!;
        for (let t = step.start; t * slot < Math.min(tack, end); t++)
          if (out[t]) {
            wrong.push(`${id} is tacky when resin must not be out`);
            break;
          }
        for (let t = step.start; t * slot < Math.min(handle, end); t++) {
          if (damp[t] === 2) {
            wrong.push(`${id} lies under dew`);
            break;
          }
          if (damp[t] === 1 && t >= Math.floor(laid / slot)) cost += weights.damp * slot;
        }
        along.forEach((a, k) => {
          const done = step.along[k]!;
          take(a.id, done.start, a.minutes + (done.late ? a.late : 0), false);
          if (done.start * slot < momentOfAge(ages, a.from, laid, slot) - NEAR) wrong.push(`${a.id} is done too soon`);
          if (!done.late && done.start * slot > momentOfAge(ages, a.until, laid, slot) + NEAR) wrong.push(`${a.id} is done too late`);
          if (done.late) cost += weights.scuff * a.late;
          free = Math.max(free, done.start * slot + a.minutes + (done.late ? a.late : 0));
        });
        last = { tack, handle, laid, step, operation };
      }
      if (operation.announced !== undefined) cost += weights.moved * Math.abs(begins - operation.announced);
      ends = Math.max(ends, free);
    });
    for (const { due, weight } of job.pieces) {
      cost += weights.end * ends;
      if (due !== undefined) cost += weights.lateness * weight * Math.max(0, ends - due);
    }
  });

  for (const [i, a] of lies.entries()) {
    // boards that lie when another is laid down
    const beside = lies.filter((b, k) => k !== i && b.place === a.place && b.job !== a.job && b.from <= a.from && a.from < b.until);
    const at = new Map(beside.map((b) => [b.job, b.boards]));
    if (!fits(problem.places[a.place]!, [...a.boards, ...[...at.values()].flat()]))
      wrong.push(`${a.job.id} finds no room on place ${a.place} at ${a.from}`);
  }
  return { wrong, cost };
}
