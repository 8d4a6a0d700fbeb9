import { followsOf, type Follows, type Option } from './follows';
import { LeastBelow } from './least';
import type { Occupied } from './occupied';
import { slotsOf, weights, type Job, type Operation, type Problem, type Step } from './problem';

/** What an operation leaves behind, by the slot it begins in. */
interface After {
  /** Minute from which the next may begin. */
  free: Float64Array;
  along: { start: Int32Array; late: Uint8Array }[];
}

/** The best way to put a whole job between what is there. */
export interface Put {
  steps: Step[];
  cost: number;
  /** What the search asked for its slots beside that. */
  asked?: number;
}

/** Sum of what is asked for the slots before each, so that a search is led away from what others had. */
export type Dear = Float64Array;

/** Days that are looked at first, how long after them what is done along with a wait may still come, and how long a film may be soft. */
const [DAYS, ALONG, SOFT] = [4, 5, 40] as const;

const wholeSlots = (minute: number, slot: number): number => Math.ceil(minute / slot - 1e-9);

/**
 * One job between all others, which stay as they are. Its operations stand in a row and each hangs on the one before it
 * alone, so that the least cost from an operation on is worked out for every slot it may begin in, from the last operation
 * back to the first: what comes out is the best there is, whatever closes at night.
 */
export class Chain {
  readonly #problem: Problem;
  readonly #job: Job;
  /** By operation. */
  readonly options: Option[][] = [];
  readonly #after: After[][] = [];
  readonly #follows: { own: Follows[]; any: Follows[] }[] = [];
  /** Slots that are looked at: what is done along with a wait comes soon after it. */
  readonly #reach: number;
  readonly #until: Int32Array;
  #anyHour?: Int32Array;
  readonly #free = new Map<number, Int32Array>();
  readonly #blocked = new Map<number, Int32Array>();

  /**
   * @param slots in which its operations may begin
   * @param dear  what a search asks for slots beside their cost
   */
  constructor(
    readonly number: number,
    readonly occupied: Occupied,
    readonly slots: number,
    readonly dear?: Dear,
  ) {
    this.#problem = occupied.problem;
    this.#job = this.#problem.jobs[number]!;
    this.#reach = Math.min(this.#problem.slots, slots + (ALONG * 1440) / this.#problem.slot);
    this.#until = occupied.until(true, this.#reach);
    for (let k = this.#job.operations.length - 1; k >= 0; k--) this.#solve(k);
  }

  /** By slot, the first from there on in which hands are free for so many slots. */
  #freeFor(length: number): Int32Array {
    let free = this.#free.get(length);
    if (!free) {
      const reach = this.#reach;
      free = new Int32Array(reach + 1).fill(this.#problem.slots);
      for (let t = reach - 1; t >= 0; t--) free[t] = this.#until[t]! - t >= length ? t : free[t + 1]!;
      this.#free.set(length, free);
    }
    return free;
  }

  #blockedOn(place: number): Int32Array {
    let blocked = this.#blocked.get(place);
    if (!blocked)
      this.#blocked.set(
        place,
        (blocked = this.occupied.blocked(place, this.#job.boards, this.number, this.slots + (SOFT * 1440) / this.#problem.slot)),
      );
    return blocked;
  }

  /** Places that are not all alike to it: of those in one room that nothing else takes, the first. */
  #unlike(): number[] {
    const { places, slots } = this.#problem;
    const free = new Set<number>();
    return places.flatMap(({ room }, p) => {
      if (p === this.#job.begins.place || this.#blockedOn(p)[0]! < slots) return [p];
      if (free.has(room)) return [];
      free.add(room);
      return [p];
    });
  }

  #moments(place: number, { film }: Operation, age: number, minutes: number, of = film!.of): Float64Array {
    return this.occupied.moments.of(of, this.#problem.places[place]!.room, age, minutes);
  }

  /** Slots in which there are hands for an operation, in order. A pinned one asks for no hours, and for its own slot. */
  #handsFor({ pin, late = 0, minutes }: Operation, isLate: boolean, from: number): number[] {
    const length = slotsOf(minutes + (isLate ? late : 0), this.#problem);
    if (pin !== undefined) {
      const begins = pin - (isLate ? slotsOf(late, this.#problem) : 0);
      const any = (this.#anyHour ??= this.occupied.until(false, this.#reach));
      return begins >= from && begins < this.slots && any[begins]! - begins >= length ? [begins] : [];
    }
    const free = this.#freeFor(length);
    const starts: number[] = [];
    for (let s = free[Math.min(from, this.slots)]!; s < this.slots; s = free[s + 1]!) starts.push(s);
    return starts;
  }

  /** By slot, whether its film may be laid on a place: it stays there, resin may be out, and no dew falls on it. And what damp costs. */
  #layable(operation: Operation, place: number, minutes: number): (s: number) => number {
    const { film } = operation;
    if (!film) return () => 0;
    const { slot, slots, places } = this.#problem;
    const { nextOut, nextDew, warned } = this.occupied.weather[places[place]!.room]!;
    const tack = this.#moments(place, operation, film.tack, minutes);
    const handle = this.#moments(place, operation, film.handle, minutes);
    const blocked = this.#blockedOn(place);
    const end = (moment: number): number => Math.min(slots, wholeSlots(moment, slot));
    return (s) => {
      const soft = end(handle[s]!);
      if (blocked[s]! < soft || nextOut[s]! < end(tack[s]!) || nextDew[s]! < soft) return Infinity;
      const laid = Math.min(slots, Math.floor((s * slot + minutes) / slot));
      return weights.damp * slot * Math.max(0, warned[soft]! - warned[laid]!);
    };
  }

  /** What is done along with a wait, by the slot its operation begins in: at the first free hands. */
  #along(operation: Operation, place: number, minutes: number, starts: number[]): After {
    const { slot, slots } = this.#problem;
    const free = new Float64Array(this.slots);
    for (const s of starts) free[s] = s * slot + minutes;
    const along = operation.along.map((a) => {
      const [from, until] = [a.from, a.until].map((age) => this.#moments(place, operation, age, minutes)) as [Float64Array, Float64Array];
      const [plain, late] = [this.#freeFor(slotsOf(a.minutes, this.#problem)), this.#freeFor(slotsOf(a.minutes + a.late, this.#problem))];
      const start = new Int32Array(this.slots);
      const isLate = new Uint8Array(this.slots);
      for (const s of starts) {
        const soonest = wholeSlots(Math.max(from[s]!, free[s]!), slot);
        let t = soonest < this.#reach ? plain[soonest]! : slots;
        if (t * slot > until[s]!) {
          isLate[s] = 1;
          t = soonest < this.#reach ? late[soonest]! : slots;
        }
        start[s] = t;
        free[s] = t >= slots ? Infinity : Math.max(free[s]!, t * slot + a.minutes + (isLate[s] ? a.late : 0));
      }
      return { start, late: isLate };
    });
    return { free, along };
  }

  #solve(k: number): void {
    const { slot } = this.#problem;
    const { operations, begins, pieces } = this.#job;
    const operation = operations[k]!;
    const { film, late, announced, notBefore = 0, until = Infinity } = operation;
    const where = film ? this.#unlike() : [-1];
    const modes = late === undefined ? [false] : [false, true];
    const last = k === operations.length - 1;
    const options: Option[] = [];
    const afters: After[] = [];
    const soonest = wholeSlots(Math.max(notBefore, k === 0 ? begins.from : 0), slot);
    for (const place of where)
      for (const isLate of modes) {
        const extra = isLate ? late! : 0;
        const minutes = operation.minutes + extra;
        const cost = new Float64Array(this.slots).fill(Infinity);
        const stays = k === 0 && film && begins.place !== undefined && begins.place !== place ? begins.hard : 0;
        const hands = this.#handsFor(operation, isLate, Math.max(soonest, wholeSlots(stays, slot)));
        const layable = this.#layable(operation, place, minutes);
        const after = this.#along(operation, place, minutes, hands);
        const starts: number[] = [];
        for (const s of hands) {
          if (late !== undefined && !isLate && s * slot > until) break;
          const damp = layable(s);
          if (damp === Infinity || after.free[s] === Infinity) continue;
          let own = damp + weights.scuff * extra;
          if (announced !== undefined) own += weights.moved * Math.abs(s * slot + extra - announced);
          if (this.dear) own += this.dear[s + slotsOf(minutes, this.#problem)]! - this.dear[s]!;
          after.along.forEach((a, i) => (own += a.late[s] ? weights.scuff * operation.along[i]!.late : 0));
          if (last) for (const { due, weight } of pieces) own += endCost(after.free[s]!, due, weight);
          cost[s] = own;
          starts.push(s);
        }
        const option: Option = { place, late: isLate, cost, next: new Int32Array(0), at: new Int32Array(0) };
        if (!last) this.#join(k, option, after, minutes, starts);
        options.push(option);
        afters.push(after);
      }
    this.options[k] = options;
    this.#after[k] = afters;
  }

  /**
   * What may follow on a place: the options there, and those of any place, which wait until the film can be carried.
   * Without a place all are as one.
   */
  #following(k: number, place: number | undefined): { follows: Follows; stays: boolean }[] {
    const { own, any } = (this.#follows[k] ??= followsOf(this.options[k]!));
    if (place === undefined) return any.map((follows) => ({ follows, stays: false }));
    const here = own.filter((o) => o.place === place).map((follows) => ({ follows, stays: false }));
    return own.length === here.length ? here : [...here, ...any.map((follows) => ({ follows, stays: true }))];
  }

  /** Joins an option to the best of what may follow it, for every slot. */
  #join(k: number, option: Option, { free }: After, minutes: number, starts: number[]): void {
    const { slot } = this.#problem;
    const operation = this.#job.operations[k]!;
    const next = this.#job.operations[k + 1]!;
    const { cost } = option;
    const film = next.link.kind === 'film' ? next.link : undefined;
    const opens = film && this.#moments(option.place, operation, film.from, minutes, film.of);
    const closes = film && this.#moments(option.place, operation, film.until, minutes, film.of);
    const handle = operation.film && next.film ? this.#moments(option.place, operation, operation.film.handle, minutes) : undefined;
    const dry = next.link.kind === 'dry' ? next.link.minutes : 0;

    const from = new Int32Array(this.slots);
    let most = 0;
    for (const s of starts) {
      const soonest = Math.max(free[s]! + dry, opens ? opens[s]! : 0);
      // what may follow never comes sooner for beginning later
      most = Math.max(most, Math.min(this.slots, wholeSlots(soonest, slot)));
      from[s] = most;
    }
    const bestNext = new Int32Array(this.slots).fill(-1);
    const bestAt = new Int32Array(this.slots);
    const best = new Float64Array(this.slots).fill(Infinity);
    const top = this.slots - 1;
    for (const { follows, stays } of this.#following(k + 1, handle ? option.place : undefined)) {
      const least = new LeastBelow(follows.cost);
      for (let i = starts.length - 1; i >= 0; i--) {
        const s = starts[i]!;
        const soonest = stays ? Math.max(from[s]!, Math.min(this.slots, wholeSlots(handle![s]!, slot))) : from[s]!;
        const latest = closes && !follows.late && next.late !== undefined ? Math.min(top, Math.floor(closes[s]! / slot + 1e-9)) : top;
        if (soonest > top) continue;
        const t = least.at(soonest, latest);
        if (t < 0) continue;
        const value = follows.cost[t]!;
        if (value < best[s]! || (value === best[s]! && t < bestAt[s]!)) {
          best[s] = value;
          bestAt[s] = t;
          bestNext[s] = follows.of ? follows.of[t]! : follows.number;
        }
      }
    }
    for (const s of starts) cost[s] = cost[s]! + best[s]!;
    option.next = bestNext;
    option.at = bestAt;
  }

  /** The best from an option of an operation on. */
  follow(k: number, option: number, start: number): Step[] {
    const steps: Step[] = [];
    for (let n = option, s = start, i = k; i < this.options.length; i++) {
      const { place, late, next, at } = this.options[i]![n]!;
      const along = this.#after[i]![n]!.along.map((a) => ({ start: a.start[s]!, late: a.late[s] === 1 }));
      steps.push({ start: s, late, place, along });
      [n, s] = [next[s] ?? -1, at[s] ?? 0];
    }
    return steps;
  }

  /** The best way to put all of it; undefined where there is none in these slots. */
  best(): Put | undefined {
    let [cost, start, option] = [Infinity, 0, -1];
    this.options[0]?.forEach((o, n) => {
      for (let s = 0; s < this.slots; s++)
        if (o.cost[s]! < cost || (o.cost[s] === cost && s < start)) [cost, start, option] = [o.cost[s]!, s, n];
    });
    if (option < 0 || cost === Infinity) return undefined;
    const steps = this.follow(0, option, start);
    const asked = this.#asked(steps);
    return { steps, cost: cost - asked, asked };
  }

  /** What of a way's cost was asked beside it. */
  #asked(steps: Step[]): number {
    const { dear } = this;
    if (!dear) return 0;
    return steps.reduce((sum, { start, late: isLate }, i) => {
      const { minutes, late = 0 } = this.#job.operations[i]!;
      return sum + dear[start + slotsOf(minutes + (isLate ? late : 0), this.#problem)]! - dear[start]!;
    }, 0);
  }
}

const endCost = (end: number, due: number | undefined, weight: number): number =>
  weights.end * end + (due === undefined ? 0 : weights.lateness * weight * Math.max(0, end - due));

/**
 * The best way to put a job between what is there. Slots are looked at two weeks ahead, and further while something that
 * ends later could still cost less.
 */
export function putBest(number: number, occupied: Occupied, from = 0, dear?: Dear): Put | undefined {
  const { slots, slot, jobs } = occupied.problem;
  if (!jobs[number]!.operations.length) return { steps: [], cost: 0 };
  const first = Math.max((DAYS * 1440) / slot, from);
  for (let ahead = Math.min(slots, first); ; ahead = Math.min(slots, 2 * ahead)) {
    const best = new Chain(number, occupied, ahead, dear).best();
    const leastLater = jobs[number]!.pieces.reduce((sum, { due, weight }) => sum + endCost(ahead * slot, due, weight), 0);
    if (ahead === slots || (best && best.cost + (best.asked ?? 0) <= leastLater)) return best;
  }
}
