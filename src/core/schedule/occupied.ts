import { fits } from './places';
import { slotsOf, type Footprint, type Job, type Problem, type Step } from './problem';
import type { Moments } from './ages';

interface Lies {
  place: number;
  /** Slots: from the first until before the last. */
  from: number;
  until: number;
  boards: Footprint[];
  /** The job that laid it in this plan, −1 where it lay before; and the one it is of then. */
  of: number;
  own?: number;
}

/** What a room allows, to be looked up: by slot, the next one in which it does not, and how many before it are under a warning. */
export interface Weather {
  nextOut: Int32Array;
  nextDew: Int32Array;
  warned: Int32Array;
}

/** By slot, the first one from there on that has a value. */
function firstOf(values: Uint8Array, value: number): Int32Array {
  const first = new Int32Array(values.length + 1).fill(values.length);
  for (let t = values.length - 1; t >= 0; t--) first[t] = values[t] === value ? t : first[t + 1]!;
  return first;
}

/** By slot, how many before it have a value. */
function countOf(values: Uint8Array, value: number): Int32Array {
  const count = new Int32Array(values.length + 1);
  for (let t = 0; t < values.length; t++) count[t + 1] = count[t]! + (values[t] === value ? 1 : 0);
  return count;
}

/** What the rooms of a problem allow. */
const weatherOf = ({ rooms }: Problem): Weather[] =>
  rooms.map(({ out, damp }) => ({ nextOut: firstOf(out, 1), nextDew: firstOf(damp, 2), warned: countOf(damp, 1) }));

/** Where hands are at work and boards lie, while jobs are put in and taken out. */
export class Occupied {
  /** How many want the hands in a slot. */
  taken: Uint8Array;
  readonly weather: Weather[];
  #lies: Lies[] = [];

  constructor(
    readonly problem: Problem,
    readonly moments: Moments,
  ) {
    this.weather = weatherOf(problem);
    this.taken = new Uint8Array(problem.slots);
    this.taken.fill(1, 0, problem.busyUntil);
    for (const { place, until, boards, job } of problem.lying)
      this.#lies.push({ place, from: 0, until: Math.ceil(until / problem.slot), boards, of: -1, ...(job !== undefined && { own: job }) });
  }

  /** The same, seen by jobs that are a little otherwise: nothing is put in or taken out there. */
  of(problem: Problem): Occupied {
    const other = new Occupied(problem, this.moments);
    other.taken = this.taken;
    other.#lies = this.#lies;
    return other;
  }

  #hands(start: number, minutes: number, by: 1 | -1): void {
    const end = Math.min(this.problem.slots, start + slotsOf(minutes, this.problem));
    for (let t = start; t < end; t++) this.taken[t]! += by;
  }

  #all(job: Job, steps: Step[], by: 1 | -1): void {
    steps.forEach((step, i) => {
      const { minutes, late = 0, along } = job.operations[i]!;
      this.#hands(step.start, minutes + (step.late ? late : 0), by);
      step.along.forEach((a, k) => this.#hands(a.start, along[k]!.minutes + (a.late ? along[k]!.late : 0), by));
    });
  }

  put(number: number, steps: Step[]): void {
    const job = this.problem.jobs[number]!;
    this.#all(job, steps, 1);
    steps.forEach(({ start, late, place }, i) => {
      const { minutes, late: scuff = 0, film } = job.operations[i]!;
      if (!film) return;
      const { room } = this.problem.places[place]!;
      const handle = this.moments.of(film.of, room, film.handle, minutes + (late ? scuff : 0))[start]!;
      this.#lies.push({ place, from: start, until: Math.ceil(handle / this.problem.slot), boards: job.boards, of: number });
    });
  }

  takeOut(number: number, steps: Step[]): void {
    this.#all(this.problem.jobs[number]!, steps, -1);
    for (let i = this.#lies.length - 1; i >= 0; i--) if (this.#lies[i]!.of === number) this.#lies.splice(i, 1);
  }

  /** Slots that pinned operations of a job want, kept for it while it is out. */
  keepPins(job: Job, by: 1 | -1): void {
    for (const { pin, minutes } of job.operations) if (pin !== undefined) this.#hands(pin, minutes, by);
  }

  /** Slots in which operations of a job were planned before, and are not pinned, kept for it until it is put. */
  keepBefore(job: Job, by: 1 | -1): void {
    for (const { pin, before, minutes } of job.operations) if (pin === undefined && before !== undefined) this.#hands(before, minutes, by);
  }

  /**
   * By slot, the first one from there on in which hands are not free.
   * @param hours whether those the artist has count
   * @param reach slots that are looked at
   */
  until(hours: boolean, reach: number): Int32Array {
    const { hands } = this.problem;
    const until = new Int32Array(reach + 1);
    until[reach] = reach;
    for (let t = reach - 1; t >= 0; t--) until[t] = this.taken[t] || (hours && !hands[t]) ? t : until[t + 1]!;
    return until;
  }

  /** By slot, the first one from there on in which boards would not fit beside what lies on a place. @param number of their job @param reach slots that are looked at */
  blocked(place: number, boards: Footprint[], number: number, reach: number): Int32Array {
    const { places } = this.problem;
    const slots = Math.min(this.problem.slots, reach);
    const blocked = new Int32Array(slots + 1).fill(this.problem.slots);
    const whole = places[place]!;
    if (whole.length === Infinity) return blocked;
    if (!fits(whole, boards)) return blocked.map((_, t) => t);
    const here = this.#lies.filter((l) => l.place === place && l.own !== number);
    const turns = [...new Set([0, ...here.flatMap((l) => [l.from, Math.min(slots, l.until)])])].sort((a, b) => a - b);
    const full = new Uint8Array(slots);
    turns.forEach((from, i) => {
      const beside = here.filter((l) => l.from <= from && from < l.until);
      // a job whose next film is laid while the last is soft lies once
      const jobs = new Map(beside.map((l, k) => [l.own ?? (l.of < 0 ? `lies ${k}` : l.of), l.boards]));
      if (jobs.size && !fits(whole, [...boards, ...[...jobs.values()].flat()])) full.fill(1, from, turns[i + 1] ?? slots);
    });
    for (let t = slots - 1; t >= 0; t--) blocked[t] = full[t] ? t : blocked[t + 1]!;
    return blocked;
  }
}
