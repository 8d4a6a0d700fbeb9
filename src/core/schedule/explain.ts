import { momentOfAge, Moments } from './ages';
import { Chain } from './chain';
import { Occupied } from './occupied';
import { slotsOf, type Job, type Plan, type Problem, type Step } from './problem';

/** What stops an operation from beginning a slot sooner. Slots and minutes of the problem. */
export type Stop =
  | { kind: 'now' }
  | { kind: 'pinned' }
  /** The film below opens then, what was before dries until then, or it may not be before then. */
  | { kind: 'film' | 'dry' | 'not before'; minute: number }
  /** Another operation has the hands until then. */
  | { kind: 'hands'; of: string; minute: number }
  /** The artist is not there until then. */
  | { kind: 'away'; minute: number }
  | { kind: 'place'; minute: number }
  /** It would be tacky when no resin may be out, or lie under dew. */
  | { kind: 'out' | 'dew' }
  /** It could, and something after it would then cost. */
  | { kind: 'costs'; what: Costs }
  /** It could, and nothing would be gained. */
  | { kind: 'same' };

/** What a chain of operations costs from one of them on. */
export interface Costs {
  /** Minutes of lateness, over all pieces of the job. */
  lateness: number;
  /** Minutes of scuffs that an earlier start would have spared. */
  scuff: number;
  /** Minutes more for what is done along with a wait, and comes too late. */
  set: number;
  /** Minutes of film under a dew warning. */
  damp: number;
}

/** How long an operation can wait, all that is not of its job left alone. */
export interface Slack {
  /** Last minute it may begin without costing more. */
  until: number;
  /** What waiting longer costs; undefined where it then finds no slot at all. */
  then?: Costs;
}

/** What a job's steps cost from an operation on, beside the hours until their end. */
export function costsFrom(problem: Problem, job: Job, steps: Step[], k: number): Costs & { end: number } {
  const { slot, slots } = problem;
  let [scuff, set, damp, end] = [0, 0, 0, 0];
  for (const [i, step] of steps.entries()) {
    const operation = job.operations[i + k]!;
    const extra = step.late ? operation.late! : 0;
    const laid = step.start * slot + extra + operation.minutes;
    scuff += extra;
    end = Math.max(end, laid);
    step.along.forEach((a, n) => {
      const { minutes, late } = operation.along[n]!;
      if (a.late) set += late;
      end = Math.max(end, a.start * slot + minutes + (a.late ? late : 0));
    });
    if (!operation.film) continue;
    const { room } = problem.places[step.place]!;
    const handle = momentOfAge(problem.ages[operation.film.of]![room]!, operation.film.handle, laid, slot);
    for (let t = Math.floor(laid / slot); t < slots && t * slot < handle; t++) if (problem.rooms[room]!.damp[t] === 1) damp += slot;
  }
  const lateness = job.pieces.reduce((sum, { due }) => sum + (due === undefined ? 0 : Math.max(0, end - due)), 0);
  return { lateness, scuff, set, damp, end };
}

const dearer = (a: Costs, b: Costs): boolean => a.lateness > b.lateness || a.scuff > b.scuff || a.set > b.set || a.damp > b.damp;
const beyond = (a: Costs, b: Costs): Costs => ({
  lateness: Math.max(0, a.lateness - b.lateness),
  scuff: Math.max(0, a.scuff - b.scuff),
  set: Math.max(0, a.set - b.set),
  damp: Math.max(0, a.damp - b.damp),
});

/** A job alone among all others of a plan, free of its pins. */
export class Alone {
  readonly chain: Chain;
  readonly #steps: Step[];
  readonly #job: Job;
  readonly #moments: Moments;

  constructor(
    readonly problem: Problem,
    readonly plan: Plan,
    readonly number: number,
  ) {
    this.#moments = new Moments(problem);
    const job = problem.jobs[number]!;
    this.#job = {
      ...job,
      operations: job.operations.map(({ pin: _, ...operation }) => operation),
    };
    const free = { ...problem, jobs: problem.jobs.map((j, n) => (n === number ? this.#job : j)) };
    const occupied = new Occupied(free, this.#moments);
    plan.jobs.forEach((steps, n) => n !== number && occupied.put(n, steps));
    this.#steps = plan.jobs[number]!;
    this.chain = new Chain(number, occupied, problem.slots);
  }

  /** The best from an operation on that begins in a slot, what is before it left as it is; undefined where it cannot begin there. */
  from(k: number, start: number): Step[] | undefined {
    const { slot } = this.problem;
    const operation = this.#job.operations[k]!;
    let best: { cost: number; steps: Step[] } | undefined;
    const before = this.#before(k);
    this.chain.options[k]!.forEach((option, n) => {
      const cost = option.cost[start];
      if (cost === undefined || cost === Infinity || (best && best.cost <= cost)) return;
      if (start * slot < before.from - 1e-6) return;
      if (operation.late !== undefined && !option.late && start * slot > before.until + 1e-6) return;
      if (operation.film && start * slot < before.hard && before.place !== undefined && option.place !== before.place) return;
      best = { cost, steps: this.chain.follow(k, n, start) };
    });
    return best?.steps;
  }

  /** What is before an operation lets it begin when. */
  #before(k: number): { from: number; until: number; hard: number; place?: number } {
    const { slot } = this.problem;
    const { begins, operations } = this.#job;
    const { link, notBefore = 0, until = Infinity } = operations[k]!;
    if (k === 0) return { ...begins, from: Math.max(begins.from, notBefore), until };
    const [step, operation] = [this.#steps[k - 1]!, operations[k - 1]!];
    const minutes = operation.minutes + (step.late ? operation.late! : 0);
    const laid = step.start * slot + minutes;
    const free = step.along.reduce((most, a, i) => {
      const { minutes: own, late } = operation.along[i]!;
      return Math.max(most, a.start * slot + own + (a.late ? late : 0));
    }, laid);
    const at = (age: number, of = operation.film?.of): number =>
      of === undefined ? laid : momentOfAge(this.problem.ages[of]![this.problem.places[step.place]!.room]!, age, laid, slot);
    return {
      from: Math.max(notBefore, free + (link.kind === 'dry' ? link.minutes : 0), link.kind === 'film' ? at(link.from, link.of) : 0),
      until: Math.min(until, link.kind === 'film' ? at(link.until, link.of) : Infinity),
      hard: operation.film ? at(operation.film.handle) : 0,
      ...(operation.film && { place: step.place }),
    };
  }

  /** How long an operation can wait, and what waiting longer costs. */
  slack(k: number): Slack {
    const { slot, slots } = this.problem;
    const step = this.#steps[k]!;
    const now = costsFrom(this.problem, this.#job, this.#steps.slice(k), k);
    const extra = step.late ? this.#job.operations[k]!.late! : 0;
    let until = step.start;
    for (let t = step.start + 1; t < slots; t++) {
      const steps = this.from(k, t);
      if (!steps) continue;
      const then = costsFrom(this.problem, this.#job, steps, k);
      if (dearer(then, now)) return { until: until * slot + extra, then: beyond(then, now) };
      until = t;
    }
    return { until: until * slot + extra };
  }

  /** What stops an operation from beginning a slot sooner: the nearest thing first, and then what stops it before that. */
  stops(k: number): Stop[] {
    const { slot, places, rooms, jobs } = this.problem;
    const step = this.#steps[k]!;
    const operation = this.#job.operations[k]!;
    if (jobs[this.number]!.operations[k]!.pin !== undefined && !this.plan.unpinned.includes(operation.id)) return [{ kind: 'pinned' }];
    if (step.start === 0) return [{ kind: 'now' }];
    const sooner = (step.start - 1) * slot;
    const before = this.#before(k);
    if (sooner < before.from - 1e-6) {
      const kind = operation.notBefore === before.from ? 'not before' : operation.link.kind === 'film' ? 'film' : 'dry';
      return [{ kind, minute: before.from }];
    }
    const hands = this.#handsBefore(step.start, Math.ceil(before.from / slot));
    if (hands.length) return hands;
    if (operation.film) {
      const { room } = places[step.place]!;
      const minutes = operation.minutes + (step.late ? operation.late! : 0);
      const until = (age: number): number => Math.ceil(this.#moments.of(operation.film!.of, room, age, minutes)[step.start - 1]! / slot);
      const [tacky, soft] = [until(operation.film.tack), until(operation.film.handle)];
      if (rooms[room]!.out.subarray(step.start - 1, tacky).includes(1)) return [{ kind: 'out' }];
      if (rooms[room]!.damp.subarray(step.start - 1, soft).includes(2)) return [{ kind: 'dew' }];
    }
    const steps = this.from(k, step.start - 1);
    if (!steps) return operation.film ? [{ kind: 'place', minute: step.start * slot }] : [{ kind: 'same' }];
    const now = costsFrom(this.problem, this.#job, this.#steps.slice(k), k);
    const then = costsFrom(this.problem, this.#job, steps, k);
    return dearer(then, now) ? [{ kind: 'costs', what: beyond(then, now) }] : [{ kind: 'same' }];
  }

  /** Who has the hands right before a slot, and before that, as long as it is without a gap. */
  #handsBefore(start: number, from: number): Stop[] {
    const owners = handsOf(this.problem, this.plan, this.number);
    const stops: Stop[] = [];
    for (let t = start - 1; t >= from && stops.length < 2; t--) {
      const owner = owners[t];
      if (owner === undefined) break;
      const minute = (t + 1) * this.problem.slot;
      stops.push(owner === AWAY ? { kind: 'away', minute } : { kind: 'hands', of: owner, minute });
      while (t > from && owners[t - 1] === owner) t--;
    }
    return stops;
  }
}

const AWAY = '';

/** By slot, whose operation has the hands, "" where the artist is away, undefined where they are free. @param without a job whose own do not count */
function handsOf(problem: Problem, plan: Plan, without: number): (string | undefined)[] {
  const owners = Array.from({ length: problem.slots }, (_, t): string | undefined =>
    problem.hands[t] && t >= problem.busyUntil ? undefined : AWAY,
  );
  plan.jobs.forEach((steps, n) => {
    if (n === without) return;
    steps.forEach((step, k) => {
      const { id, minutes, late = 0, along } = problem.jobs[n]!.operations[k]!;
      owners.fill(id, step.start, step.start + slotsOf(minutes + (step.late ? late : 0), problem));
      step.along.forEach((a, i) => {
        const own = along[i]!;
        owners.fill(own.id, a.start, a.start + slotsOf(own.minutes + (a.late ? own.late : 0), problem));
      });
    });
  });
  return owners;
}

/**
 * The last minute by which each operation of a job must begin so that it ends by another, all others left alone; −1 where it
 * cannot. In its window, or where that is past already, after it.
 */
export function lastMoments(problem: Problem, plan: Plan, number: number, due: number): number[] {
  const asked: Problem = {
    ...problem,
    jobs: problem.jobs.map((job, n) => (n === number ? { ...job, pieces: job.pieces.map((p) => ({ ...p, due, weight: 5 })) } : job)),
  };
  const { chain } = new Alone(asked, plan, number);
  const job = asked.jobs[number]!;
  return job.operations.map((_, k) => {
    const last = (late: boolean): number => {
      for (let t = problem.slots - 1; t >= 0; t--)
        for (const [n, option] of chain.options[k]!.entries()) {
          if (option.late !== late || option.cost[t] === Infinity) continue;
          if (costsFrom(asked, job, chain.follow(k, n, t), k).lateness === 0) return t * problem.slot;
        }
      return -1;
    };
    const timely = last(false);
    return timely < 0 ? last(true) : timely;
  });
}
