/** How near the calendar's plans are to the best there are, and how long they take. */
import { check, effortFor, planJobs, Priced, type Problem } from '#core/schedule';
import { madeProblem, type Made } from '../../tests/made/calendar';
import { median, ms, print } from './figures';
import { optimum } from './optimum';

/** Cases beside which a proven optimum stands, and how long one may be looked for, s. */
const [CASES, SECONDS] = [22, 180];
const cost = (sixtieths: number): number => Math.round(sixtieths / 60);
const percent = (gap: number): number => Math.round(1e4 * gap) / 100;

const small = (seed: number): Made & { atOnce: number } => {
  const short = seed % 4 === 0;
  return {
    seed,
    slot: 30,
    days: 12,
    pieces: short ? 3 : 3 + (seed % 3),
    pours: [2, 4],
    hours: [3, 8],
    room: short ? 2 : Infinity,
    atOnce: short ? 2 : Infinity,
    promised: 0.5,
    evenings: 0.5,
    effort: effortFor(short ? 3 : 3 + (seed % 3)),
  };
};

const gaps: number[] = [];
for (let seed = 1; seed <= CASES; seed++) {
  const made = small(seed);
  const problem = madeProblem(made);
  const begun = performance.now();
  const plan = planJobs(problem);
  const between = performance.now();
  const best = await optimum(problem, made.atOnce, SECONDS);
  const [ours, theirs] = [check(problem, plan), check(problem, best.plan)];
  const gap = ours.cost / theirs.cost - 1;
  if (best.proven) gaps.push(gap);
  print({
    bench: 'calendar against the optimum',
    case: seed,
    pieces: made.pieces,
    place: made.room === Infinity ? 'enough' : `${made.room} at once`,
    optimum: cost(theirs.cost),
    ours: cost(ours.cost),
    gapPercent: percent(gap),
    proven: best.proven,
    wrong: ours.wrong.length + theirs.wrong.length,
    ms: ms(between - begun),
    optimumMs: ms(performance.now() - between),
  });
}
print({
  bench: 'calendar against the optimum',
  proven: gaps.length,
  within2Percent: gaps.filter((gap) => gap <= 0.02).length,
  worstPercent: percent(Math.max(...gaps)),
  medianPercent: percent(median(gaps)),
});

/** Rounds of the bound, and how many without a better one until its steps are made shorter. */
const [ROUNDS, STALE] = [120, 8];

/**
 * What no plan can cost less than: each piece alone, and the hands alone. Every slot of hands has a price that each piece pays
 * where it is planned by itself; what all cost at the least, less the prices of all slots, is never more than a plan that has
 * every slot once (Lagrangian relaxation; prices by subgradient steps after Polyak).
 * @param known what some plan costs
 */
function bound(problem: Problem, known: number): number {
  const { jobs, hands, slots, slot } = problem;
  const prices = new Float64Array(slots);
  const priced = new Priced(problem);
  let [best, length, stale] = [0, 1, 0];
  for (let round = 0; round < ROUNDS; round++) {
    const wanted = new Float64Array(slots);
    let least = 0;
    jobs.forEach((job, n) => {
      const { cost: own, steps } = priced.alone(n, prices)!;
      least += own;
      steps.forEach(({ start, late: isLate }, k) => {
        const { minutes, late = 0 } = job.operations[k]!;
        for (let t = start; t < start + Math.ceil((minutes + (isLate ? late : 0)) / slot); t++) {
          wanted[t]! += 1;
          least += prices[t]!;
        }
      });
    });
    for (let t = 0; t < slots; t++) least -= prices[t]! * hands[t]!;
    if (least > best) [best, stale] = [least, 0];
    else if (++stale > STALE) [length, stale] = [length / 1.7, 0];
    const over = wanted.map((n, t) => (hands[t] ? n - 1 : 0));
    const norm = over.reduce((sum, x, t) => sum + (x > 0 || prices[t]! > 0 ? x * x : 0), 0);
    for (let t = 0; t < slots; t++) prices[t] = Math.max(0, prices[t]! + (length * (known - least) * over[t]!) / norm);
  }
  return best;
}

{
  const problem = madeProblem({
    seed: 11,
    slot: 15,
    days: 90,
    pieces: 40,
    pours: [5, 5],
    hours: [8, 11],
    room: Infinity,
    promised: 0,
    evenings: 0.1,
    effort: effortFor(40),
  });
  const times: number[] = [];
  let plan = planJobs(problem);
  for (let i = 0; i < 5; i++) {
    const begun = performance.now();
    plan = planJobs(problem);
    times.push(performance.now() - begun);
  }
  const least = bound(problem, plan.cost);
  print({
    bench: 'calendar of 40 pieces in 5 pours each',
    medianMs: ms(median(times)),
    cost: cost(plan.cost),
    bound: cost(least),
    overBoundPercent: percent(plan.cost / least - 1),
    wrong: check(problem, plan).wrong.length,
  });
}
