import { putBest, type Dear, type Put } from './chain';
import type { Moments } from './ages';
import { Occupied } from './occupied';
import { slotsOf, type Problem, type Step } from './problem';

/** Dearer than anything that can be planned: so that a plan with one job less is never the better one. */
const UNPLANNED = 1e13;

/** A whole plan while it is looked for. */
export interface Found {
  puts: (Put | undefined)[];
  cost: number;
  /** Sum of all beginnings: of two that cost the same the earlier is better. */
  starts: number;
}

export const NOTHING: Put = { steps: [], cost: UNPLANNED };
const startsOf = (steps: Step[]): number => steps.reduce((sum, s) => sum + s.start, 0);
export const better = (a: Found, b: Found): boolean => a.cost < b.cost || (a.cost === b.cost && a.starts < b.starts);

/** What is taken out, the order it is put back in, and what slots of those still out cost meanwhile. */
export interface Attempt {
  order: number[];
  price: number;
}

/** Which jobs stand where, while some are taken out and put back. */
export class Search {
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
