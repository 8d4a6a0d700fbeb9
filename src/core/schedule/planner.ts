import { seeded } from '#core/geometry';
import { Moments } from './ages';
import { putBest } from './chain';
import { Occupied } from './occupied';
import { attempt, startingOrders } from './orders';
import { heldPins } from './pins';
import type { Plan, Problem } from './problem';
import { better, NOTHING, Search, type Found } from './search';

/** How much worse a piece of the plan may get, as a share of its cost, and still be searched on from, at first. */
const LET_PASS = 0.3;
/** How often all jobs are put back once more at the end. */
const ROUNDS = 4;
/** Attempts without a better plan after which it is left as it is. */
const STALE = 160;

/** Is told how far the search has come, 0 to 1; stops it, with the best so far, by saying no. */
export type Tell = (share: number) => boolean | void;

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
  const { occupied } = search;
  // what is done along with a wait takes no slot that another job had
  for (const job of problem.jobs) occupied.keepBefore(job, 1);
  const left = problem.jobs.flatMap((job, n) => {
    occupied.keepBefore(job, -1);
    return search.putAsBefore(n) ? [] : [n];
  });
  for (const n of left) search.putBest(n);
  return search.found();
}

/**
 * Plans all jobs: each rule of order puts one after the other at the place that is best for it; the best of these is made
 * better by taking out one, two or three pieces, or those of a stretch of days, and putting them back in other orders. What was
 * planned before is begun from as well, so that more hands, room or time cost no more than leaving it as it was.
 */
export function planJobs(asked: Problem, tell: Tell = () => true): Plan {
  const moments = new Moments(asked);
  const { problem, unpinned } = heldPins(asked, moments);
  const n = problem.jobs.length;
  const search = new Search(problem, moments);
  let going = true;
  const told = (share: number): void => void (going &&= tell(Math.min(1, share)) !== false);

  let best = asBefore(problem, search);
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
