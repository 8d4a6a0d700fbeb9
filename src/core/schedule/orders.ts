import type { Problem } from './problem';
import type { Attempt, Found } from './search';

/** Pieces that are taken out at once, at the most. */
const AT_ONCE = 5;
/** Of more jobs than these fewer orders are tried: each of them takes as long as all its jobs. */
const [SEVERAL, MANY] = [20, 80] as const;

/** Orders that a plan is begun with: the earliest promise, the shortest work, the heaviest promise, the longest work first, and as they stand. */
export function startingOrders({ jobs }: Problem): number[][] {
  const all = jobs.map((_, n) => n);
  const due = jobs.map((j) => Math.min(...j.pieces.map((p) => p.due ?? Infinity)));
  const weight = jobs.map((j) => Math.max(...j.pieces.map((p) => (p.due === undefined ? 0 : p.weight))));
  const work = jobs.map((j) => j.operations.reduce((sum, o) => sum + o.minutes, 0) / j.pieces.length);
  const by = (value: (n: number) => number): number[] =>
    [...all].sort((a, b) => {
      const [x, y] = [value(a), value(b)];
      return x === y ? compare(due[a]!, due[b]!) || (jobs[a]!.id < jobs[b]!.id ? -1 : 1) : compare(x, y);
    });
  const orders = [by((n) => due[n]!), by((n) => work[n]!), by((n) => -weight[n]!), by((n) => -work[n]!), by((n) => jobs[n]!.begins.from)];
  return orders.slice(0, jobs.length > MANY ? 1 : jobs.length > SEVERAL ? 3 : orders.length);
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

/** How often a plan of so many jobs is taken apart and put together again: few are gone through nearly whole, of many each a few times. */
export const effortFor = (jobs: number): number => (jobs <= 5 ? 600 : Math.max(40, Math.round(1000 / jobs)));

/** Pieces to take out and the order to put them back: all pairs first, then by chance of near ones. */
export function attempt(problem: Problem, best: Found, i: number, random: () => number): Attempt {
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
