import { seeded } from '#core/geometry';
import { Moments } from './ages';
import { putBest, type Dear, type Put } from './chain';
import { Occupied } from './occupied';
import { slotsOf, type Plan, type Problem, type Step } from './problem';

/** Dearer than anything that can be planned: so that a plan with one job less is never the better one. */
const UNPLANNED = 1e13;
/** Pieces that are taken out at once, at the most. */
const AT_ONCE = 5;
/** How much worse a piece of the plan may get, as a share of its cost, and still be searched on from, at first. */
const LET_PASS = 0.3;

/** Is told how far the search has come, 0 to 1; stops it, with the best so far, by saying no. */
export type Tell = (share: number) => boolean | void;

/** A whole plan while it is looked for. */
interface Found {
  puts: (Put | undefined)[];
  cost: number;
  /** Sum of all beginnings: of two that cost the same the earlier is better. */
  starts: number;
}

const NOTHING: Put = { steps: [], cost: UNPLANNED };
const startsOf = (steps: Step[]): number => steps.reduce((sum, s) => sum + s.start, 0);
const better = (a: Found, b: Found): boolean => a.cost < b.cost || (a.cost === b.cost && a.starts < b.starts);

/** Which jobs stand where, while some are taken out and put back. */
class Search {
  readonly occupied: Occupied;
  readonly #puts: (Put | undefined)[];
  /** How far each had to look. */
  readonly #ends: number[];

  constructor(
    readonly problem: Problem,
    moments: Moments,
  ) {
    this.occupied = new Occupied(problem, moments);
    this.#puts = problem.jobs.map(() => undefined);
    this.#ends = problem.jobs.map(() => 0);
    for (const job of problem.jobs) this.occupied.keepPins(job, 1);
  }

  takeOut(number: number): Put | undefined {
    const put = this.#puts[number];
    if (!put) return undefined;
    this.occupied.takeOut(number, put.steps);
    this.occupied.keepPins(this.problem.jobs[number]!, 1);
    this.#puts[number] = undefined;
    return put;
  }

  putBack(number: number, put: Put | undefined): void {
    if (!put) return;
    this.occupied.keepPins(this.problem.jobs[number]!, -1);
    this.occupied.put(number, put.steps);
    this.#puts[number] = put;
  }

  /** Puts a job where it costs least between what is there. */
  putBest(number: number, dear?: Dear): void {
    const job = this.problem.jobs[number]!;
    this.occupied.keepPins(job, -1);
    const put = putBest(number, this.occupied, this.#ends[number]!, dear);
    this.occupied.keepPins(job, 1);
    if (put) this.#ends[number] = (put.steps.at(-1)?.start ?? 0) + 1440 / this.problem.slot;
    this.putBack(number, put);
  }

  /** Puts a job where it was planned before; false where that cannot be. */
  putAsBefore(number: number): boolean {
    const { problem } = this;
    const job = problem.jobs[number]!;
    if (job.operations.some((o) => o.before === undefined || (o.pin !== undefined && o.pin !== o.before))) return false;
    const held = { ...job, operations: job.operations.map((o) => ({ ...o, pin: o.before! })) };
    const jobs = problem.jobs.map((j, n) => (n === number ? held : j));
    this.occupied.keepPins(job, -1);
    // within the artist's hours it was planned; they may be others by now
    const free = held.operations.every(({ pin, minutes }) =>
      problem.hands.subarray(pin, pin + slotsOf(minutes, problem)).every((h) => h === 1),
    );
    const put = free ? putBest(number, this.occupied.of({ ...problem, jobs }), held.operations.at(-1)!.pin + 1) : undefined;
    this.occupied.keepPins(job, 1);
    this.putBack(number, put);
    return put !== undefined;
  }

  found(): Found {
    return {
      puts: [...this.#puts],
      cost: this.#puts.reduce((sum, put) => sum + (put ?? NOTHING).cost, 0),
      starts: this.#puts.reduce((sum, put) => sum + startsOf((put ?? NOTHING).steps), 0),
    };
  }

  restore({ puts }: Found): void {
    puts.forEach((_, n) => this.takeOut(n));
    puts.forEach((put, n) => this.putBack(n, put));
  }

  /** What slots that some jobs had are made to cost for others. */
  #dearly(puts: readonly (readonly [number, Put | undefined])[], price: number): Dear {
    const asked = new Float64Array(this.problem.slots + 1);
    for (const [n, put] of puts)
      put?.steps.forEach(({ start, late: isLate }, i) => {
        const { minutes, late = 0 } = this.problem.jobs[n]!.operations[i]!;
        const end = Math.min(this.problem.slots, start + slotsOf(minutes + (isLate ? late : 0), this.problem));
        for (let t = start; t < end; t++) asked[t + 1] = price;
      });
    for (let t = 1; t < asked.length; t++) asked[t] = asked[t]! + asked[t - 1]!;
    return asked;
  }

  /**
   * Takes some jobs out and puts them back in an order. What comes out stays where it costs no more than `most`; else all is as it was.
   * @param price asked of each but the last for slots that those after it had; 0 for none
   */
  tryOrder({ order, price }: Attempt, before: Found, most: number): Found {
    const puts = order.map((n) => [n, this.takeOut(n)] as const);
    order.forEach((n, i) => this.putBest(n, price && i < order.length - 1 ? this.#dearly(puts.slice(i + 1), price) : undefined));
    const found = this.found();
    if (found.cost <= most || better(found, before)) return found;
    for (const n of order) this.takeOut(n);
    for (const [n, put] of puts) this.putBack(n, put);
    return before;
  }
}

/** How often all jobs are put back once more at the end. */
const ROUNDS = 4;
/** Attempts without a better plan after which it is left as it is. */
const STALE = 160;

/** What is taken out, the order it is put back in, and what slots of those still out cost meanwhile. */
interface Attempt {
  order: number[];
  price: number;
}

/** Orders that a plan is begun with: the earliest promise, the heaviest, the shortest and the longest work first, and as they stand. */
function startingOrders({ jobs }: Problem): number[][] {
  const all = jobs.map((_, n) => n);
  const due = jobs.map((j) => Math.min(...j.pieces.map((p) => p.due ?? Infinity)));
  const weight = jobs.map((j) => Math.max(...j.pieces.map((p) => (p.due === undefined ? 0 : p.weight))));
  const work = jobs.map((j) => j.operations.reduce((sum, o) => sum + o.minutes, 0) / j.pieces.length);
  const by = (value: (n: number) => number): number[] =>
    [...all].sort((a, b) => {
      const [x, y] = [value(a), value(b)];
      return x === y ? compare(due[a]!, due[b]!) || (jobs[a]!.id < jobs[b]!.id ? -1 : 1) : compare(x, y);
    });
  return [by((n) => due[n]!), by((n) => -weight[n]!), by((n) => work[n]!), by((n) => -work[n]!), by((n) => jobs[n]!.begins.from)];
}
const compare = (a: number, b: number): number => (a < b ? -1 : a > b ? 1 : 0);

/** Jobs at work within a stretch of days that begins in some slot. */
function within({ puts }: Found, from: number, until: number): number[] {
  return puts.flatMap((put, n) => (put?.steps.some((s) => s.start >= from && s.start < until) ? [n] : []));
}

/** Puts numbers into another order. */
function shuffle(list: number[], random: () => number): number[] {
  const all = [...list];
  for (let i = all.length - 1; i > 0; i--) {
    const k = Math.floor(random() * (i + 1));
    [all[i], all[k]] = [all[k]!, all[i]!];
  }
  return all;
}

/** Pins that cannot be held: two that want the hands at once, or one that its own chain never comes to. By operation. */
function heldPins(problem: Problem, moments: Moments): { problem: Problem; unpinned: string[] } {
  const unpinned: string[] = [];
  const taken = new Uint8Array(problem.slots).fill(1, 0, problem.busyUntil);
  const jobs = problem.jobs.map((job) => ({
    ...job,
    operations: job.operations.map((operation) => {
      const { pin, minutes, ...free } = operation;
      if (pin === undefined) return operation;
      const slots = Array.from({ length: slotsOf(minutes, problem) }, (_, i) => pin + i);
      if (slots.every((t) => t >= 0 && t < problem.slots && !taken[t])) {
        for (const t of slots) taken[t] = 1;
        return operation;
      }
      unpinned.push(operation.id);
      return { ...free, minutes };
    }),
  }));
  const held: Problem = { ...problem, jobs };
  jobs.forEach((job, n) => {
    // each pin is put to the proof with those before it, in a calendar that has nothing else
    while (job.operations.some((o) => o.pin !== undefined)) {
      if (putBest(n, new Occupied(held, moments))) return;
      const without = job.operations.findIndex((operation, i) => {
        if (operation.pin === undefined) return false;
        const upTo = { ...job, operations: job.operations.map((o, k) => (k > i ? unpin(o) : o)) };
        return !putBest(n, new Occupied({ ...held, jobs: held.jobs.map((j, k) => (k === n ? upTo : j)) }, moments));
      });
      if (without < 0) return;
      unpinned.push(job.operations[without]!.id);
      job.operations[without] = unpin(job.operations[without]!);
    }
  });
  return { problem: held, unpinned };
}

function unpin<T extends { pin?: number }>({ pin: _, ...rest }: T): Omit<T, 'pin'> {
  return rest;
}

/** The first operation of a job that finds no slot: the rest is left off until it can be put. */
function stuckAt(problem: Problem, number: number, search: Search): number {
  const job = problem.jobs[number]!;
  for (let k = 1; k < job.operations.length; k++) {
    const cut = { ...problem, jobs: problem.jobs.map((j, n) => (n === number ? { ...job, operations: job.operations.slice(0, k) } : j)) };
    const occupied = new Occupied(cut, search.occupied.moments);
    if (!putBest(number, occupied)) return k - 1;
  }
  return job.operations.length - 1;
}

const asPlan = (problem: Problem, { puts, cost }: Found, unpinned: string[], search: Search): Plan => ({
  jobs: puts.map((put) => put?.steps ?? []),
  unplanned: puts.map((put, n) => (put ? undefined : { operation: stuckAt(problem, n, search) })),
  unpinned,
  cost,
});

/**
 * All as it was planned before, as far as it still can be: jobs whose operations find their slots free stand there, the others
 * are put where they cost least.
 */
function asBefore(problem: Problem, search: Search): Found | undefined {
  if (!problem.jobs.some((job) => job.operations.some((o) => o.before !== undefined))) return undefined;
  for (const n of problem.jobs.keys()) search.takeOut(n);
  const left = problem.jobs.flatMap((_, n) => (search.putAsBefore(n) ? [] : [n]));
  for (const n of left) search.putBest(n);
  return search.found();
}

/** A plan that was made before, where it still can be: its jobs in the order they begin, each as it was. */
function keptPlan(problem: Problem, plan: Plan, search: Search, costOf: (plan: Plan) => number | undefined): Found | undefined {
  const cost = costOf(plan);
  if (cost === undefined) return undefined;
  const alone = problem.jobs.map((_, n): Put | undefined => {
    const only: Plan = { ...plan, jobs: plan.jobs.map((steps, k) => (k === n ? steps : [])) };
    return plan.jobs[n]!.length || !problem.jobs[n]!.operations.length ? { steps: plan.jobs[n]!, cost: costOf(only) ?? 0 } : undefined;
  });
  if (alone.some((put) => !put)) return undefined;
  search.restore({ puts: alone, cost, starts: 0 });
  return search.found();
}

/**
 * Plans all jobs: each rule of order puts one after the other at the place that is best for it; the best of these is made
 * better by taking out one, two or three pieces, or those of a stretch of days, and putting them back in other orders.
 * @param kept a plan that must not cost less than what comes out, with what it costs here; nothing where it does not hold
 */
export function planJobs(asked: Problem, tell: Tell = () => true, kept?: { plan: Plan; costOf: (plan: Plan) => number | undefined }): Plan {
  const moments = new Moments(asked);
  const { problem, unpinned } = heldPins(asked, moments);
  const n = problem.jobs.length;
  const search = new Search(problem, moments);
  let best: Found | undefined = kept && keptPlan(problem, kept.plan, search, kept.costOf);
  let going = true;
  const told = (share: number): void => void (going &&= tell(Math.min(1, share)) !== false);

  if (!best) best = asBefore(problem, search);
  for (const order of startingOrders(problem)) {
    if (best && !going) break;
    for (let k = 0; k < n; k++) search.takeOut(k);
    for (const k of order) search.putBest(k);
    const found = search.found();
    if (!best || better(found, best)) best = found;
    told(0.1);
  }
  if (!best) best = search.found();
  search.restore(best);

  const random = seeded(problem.seed);
  const attempts = n < 2 ? 0 : problem.effort;
  const least = attempts ? leastOf(problem, moments) : 0;
  let [current, stale] = [best, 0];
  for (let i = 0; i < attempts && going && best.cost > least && stale < STALE; i++, stale++) {
    // a little worse is let pass at first, and less and less of it
    const most = best.cost * (1 + (LET_PASS / n) * (1 - i / attempts));
    current = search.tryOrder(attempt(problem, current, i, random), current, most);
    if (better(current, best)) [best, stale] = [current, 0];
    if (i % 8 === 0) told(0.1 + (0.9 * i) / attempts);
  }
  search.restore(best);
  return asPlan(problem, leftmost(search, best), unpinned, search);
}

/** Of plans that cost the same the one that begins earlier: each job is put back once more, until none moves. */
function leftmost(search: Search, found: Found): Found {
  let best = found;
  for (let moved = true, round = 0; moved && round < ROUNDS; round++) {
    moved = false;
    const order = best.puts.map((_, n) => n).sort((a, b) => (best.puts[a]?.steps[0]?.start ?? 0) - (best.puts[b]?.steps[0]?.start ?? 0));
    for (const n of order) {
      const next = search.tryOrder({ order: [n], price: 0 }, best, -1);
      if (next !== best) [best, moved] = [next, true];
    }
  }
  return best;
}

/** What no plan costs less than: each job as if there were no other. */
function leastOf(problem: Problem, moments: Moments): number {
  const alone = new Occupied(problem, moments);
  return problem.jobs.reduce((sum, _, n) => sum + (putBest(n, alone) ?? NOTHING).cost, 0);
}

/** How often a plan of so many jobs is taken apart and put together again: few are gone through nearly whole, of many each a few times. */
export const effortFor = (jobs: number): number => (jobs <= 5 ? 600 : Math.max(40, Math.round(1000 / jobs)));

/** Pieces to take out and the order to put them back: all pairs first, then by chance of near ones. */
function attempt(problem: Problem, best: Found, i: number, random: () => number): Attempt {
  const n = problem.jobs.length;
  const pairs = n * (n - 1);
  if (i < pairs && n <= 8) {
    const a = Math.floor(i / (n - 1));
    const b = i % (n - 1);
    return { order: [a, b < a ? b : b + 1], price: 0 };
  }
  const day = 1440 / problem.slot;
  const end = Math.max(1, ...best.puts.map((put) => put?.steps.at(-1)?.start ?? 0));
  const from = Math.floor(random() * end);
  const near = within(best, from, from + day * (1 + Math.floor(3 * random())));
  const some = near.length > 1 ? near : problem.jobs.map((_, k) => k);
  const order = shuffle(some, random).slice(0, 1 + Math.ceil(random() * AT_ONCE));
  return { order, price: random() < 0.5 ? 0 : Math.round(10 ** (1 + 5 * random())) };
}

/**
 * The least a job could cost by itself, where each slot of hands has a price besides. Prices that make all jobs together want no
 * slot twice tell what no plan can cost less than (Lagrangian relaxation of the hands).
 * @param prices by slot, 0 or more
 * @returns its cost without the prices, and where its hands would be
 */
export function aloneAtPrices(problem: Problem, number: number, prices: Float64Array): { cost: number; steps: Step[] } | undefined {
  const dear = new Float64Array(prices.length + 1);
  for (let t = 0; t < prices.length; t++) dear[t + 1] = dear[t]! + prices[t]!;
  return putBest(number, new Occupied(problem, momentsOf(problem)), 0, dear);
}

const known = new WeakMap<Problem, Moments>();
function momentsOf(problem: Problem): Moments {
  let moments = known.get(problem);
  if (!moments) known.set(problem, (moments = new Moments(problem)));
  return moments;
}
