import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { Alone, check, fits, lastMoments, planJobs, slotsOf, type Job, type Operation, type Problem, type Step } from '#core/schedule';
import { madeProblem, type Made } from '../../made/calendar';

const made: Made = {
  seed: 1,
  slot: 30,
  days: 10,
  pieces: 3,
  pours: [1, 3],
  hours: [4, 9],
  room: Infinity,
  promised: 0.5,
  evenings: 0.4,
  effort: 12,
};

/** One piece whose film opens 4 h and closes 24 h after its first pour, in a room of 23 °C; hands from 9 until 21 h. */
function plain(change: Partial<Problem> = {}, first: Partial<Operation> = {}, second: Partial<Operation> = {}): Problem {
  const [slot, slots] = [15, 96 * 14];
  const hands = new Uint8Array(slots).map((_, t) => (t % 96 >= 36 && t % 96 < 84 ? 1 : 0));
  const film = { of: 0, tack: 240, handle: 1440 };
  const job: Job = {
    id: 'tray',
    pieces: [{ id: 'tray', weight: 1 }],
    boards: [{ length: 400, width: 300 }],
    operations: [
      { id: 'first', minutes: 60, link: { kind: 'dry', minutes: 0 }, film, along: [], ...first },
      { id: 'second', minutes: 60, link: { kind: 'film', from: 240, until: 1440 }, late: 15, film, along: [], ...second },
    ],
    begins: { from: 0, hard: 0 },
  };
  return {
    slot,
    slots,
    hands,
    busyUntil: 0,
    rooms: [{ out: new Uint8Array(slots), damp: new Uint8Array(slots) }],
    ages: [[Float64Array.from({ length: slots + 1 }, (_, t) => t * slot)]],
    places: [{ length: Infinity, width: Infinity, room: 0 }],
    lying: [],
    jobs: [job],
    seed: 1,
    effort: 20,
    ...change,
  };
}
/** A job that knows where it was planned before. */
const asBefore = (job: Job, steps: Step[], problem: Problem): Job => ({
  ...job,
  operations: job.operations.map((o, k) => ({ ...o, before: steps[k]!.start + (steps[k]!.late ? slotsOf(o.late!, problem) : 0) })),
});
const starts = (problem: Problem): number[] => planJobs(problem).jobs[0]!.map((s) => s.start * problem.slot);
const nine = 9 * 60;

test('two coats in a day: the second begins when the first film opens', () => {
  assert.deepEqual(starts(plain()), [nine, nine + 60 + 240]);
});

test('a window that closes at night: the first coat waits, since a scuff is dearer than the hours', () => {
  // opens after 13 h, closes after 16: begun at 9, the second would have to be laid between 23 and 2 h
  const problem = plain({}, {}, { link: { kind: 'film', from: 780, until: 960 }, late: 60 });
  const [first, second] = starts(problem) as [number, number];
  assert.equal(check(problem, planJobs(problem)).wrong.length, 0);
  assert.ok(second % 1440 >= nine && second - first - 60 <= 960, `${first} ${second}`);
  assert.equal(planJobs(problem).jobs[0]![1]!.late, false);
});

test('where the window can only close at night the scuff stands before the coat, and its minutes count', () => {
  const problem = plain({}, { pin: 36 }, { link: { kind: 'film', from: 780, until: 960 } });
  const plan = planJobs(problem);
  assert.deepEqual(plan.jobs[0]![1], { start: 96 + 36, late: true, place: 0, along: [] });
  assert.equal(plan.cost, 15 * 240 + (1440 + nine + 15 + 60));
});

test('nothing is laid that would be tacky while guests sleep', () => {
  const out = new Uint8Array(96 * 14);
  out.fill(1, 50, 140);
  const problem = plain({ rooms: [{ out, damp: new Uint8Array(96 * 14) }] });
  const plan = planJobs(problem);
  assert.deepEqual(check(problem, plan).wrong, []);
  assert.ok(plan.jobs[0]![0]!.start >= 140);
});

test('two boards that do not fit side by side lie one after the other', () => {
  const one = plain().jobs[0]!;
  const two = plain({ jobs: [one, { ...one, id: 'panel', operations: one.operations.map((o) => ({ ...o, id: `${o.id}-2` })) }] });
  const wide = planJobs({ ...two, places: [{ length: 900, width: 300, room: 0 }] });
  const narrow = { ...two, places: [{ length: 500, width: 300, room: 0 }] };
  const turns = planJobs(narrow);
  assert.deepEqual(check(narrow, turns).wrong, []);
  assert.ok(Math.max(...turns.jobs.map((s) => s[0]!.start)) > Math.max(...wide.jobs.map((s) => s[0]!.start)) + 90);
});

test('what fits on a place: side by side, in rows, turned', () => {
  const board = { length: 400, width: 300 };
  assert.ok(fits({ length: 830, width: 300 }, [board, board]));
  assert.ok(!fits({ length: 829, width: 300 }, [board, board]));
  assert.ok(fits({ length: 830, width: 630 }, [board, board, board, board]));
  assert.ok(fits({ length: 300, width: 400 }, [board]));
  assert.ok(!fits({ length: 399, width: 399 }, [board]));
});

test('a pinned coat is held outside the hours, and one that would be wet on wet is named and not held', () => {
  const pinned = plain({}, { pin: 90 });
  assert.equal(planJobs(pinned).jobs[0]![0]!.start, 90);
  const early = plain({}, { pin: 90 }, { pin: 92 });
  const plan = planJobs(early);
  assert.deepEqual(plan.unpinned, ['second']);
  assert.equal(plan.jobs[0]!.length, 2);
  assert.deepEqual(check(early, plan).wrong, []);
});

test('two pins that want the hands at once: the first holds', () => {
  const one = plain({}, { pin: 40 }).jobs[0]!;
  const other = { ...one, id: 'panel', operations: one.operations.map((o) => ({ ...o, id: `${o.id}-2` })) };
  const plan = planJobs(plain({ jobs: [one, other] }));
  assert.deepEqual(plan.unpinned, ['first-2']);
});

test('without hands in all the days the piece is named, and what is stuck', () => {
  const problem = plain({ hands: new Uint8Array(96 * 14) });
  const plan = planJobs(problem);
  assert.deepEqual(plan.unplanned, [{ operation: 0 }]);
  const never = plain({}, {}, { link: { kind: 'film', from: Infinity, until: Infinity } });
  assert.deepEqual(planJobs(never).unplanned, [{ operation: 1 }]);
});

test('an announced session stays where moving it gains less than it costs', () => {
  // an hour later costs an hour at the end; moving it an hour costs one too, and ties go to the earlier start
  assert.equal(starts(plain({}, { announced: nine + 60 }))[0], nine);
  const promised = { ...plain({}, { announced: nine + 60 }) };
  assert.equal(planJobs(promised).cost, 60 + (nine + 60 + 240 + 60));
});

test('why not sooner, how long it can wait, and by when it must begin', () => {
  const problem = plain();
  const plan = planJobs(problem);
  const alone = new Alone(problem, plan, 0);
  assert.deepEqual(alone.stops(0), [{ kind: 'away', minute: nine }]);
  assert.deepEqual(alone.stops(1), [{ kind: 'film', minute: nine + 300 }]);
  const slack = alone.slack(1);
  // open until 10 h of the next day: the last quarter hour in which it bonds by itself
  assert.equal(slack.until, nine + 60 + 1440);
  assert.deepEqual(slack.then, { lateness: 0, scuff: 15, set: 0, damp: 0 });
  // the last evening of hands before the end of the third day
  assert.deepEqual(lastMoments(problem, plan, 0, 3 * 1440), [2 * 1440 + 15 * 60, 2 * 1440 + 20 * 60]);
  // what is past its window already can still be done after it
  const past = plain({}, { until: 60, late: 10 });
  assert.equal(lastMoments(past, planJobs(past), 0, 3 * 1440)[0], 2 * 1440 + 14 * 60 + 45);
});

test('hands on another piece are named, and the time away before that', () => {
  const one = plain().jobs[0]!;
  const other = { ...one, id: 'panel', operations: one.operations.map((o) => ({ ...o, id: `${o.id}-2` })) };
  const problem = plain({ jobs: [one, other] });
  const plan = planJobs(problem);
  const second = plan.jobs.findIndex((s) => s[0]!.start * 15 === nine + 60);
  assert.deepEqual(new Alone(problem, plan, second).stops(0), [
    { kind: 'hands', of: second === 1 ? 'first' : 'first-2', minute: nine + 60 },
    { kind: 'away', minute: nine },
  ]);
});

test('every plan of thousands of made problems passes the checker, and costs what it says', () => {
  fc.assert(
    fc.property(fc.nat({ max: 1e6 }), fc.boolean(), fc.integer({ min: 1, max: 4 }), (seed, everything, pieces) => {
      const room = seed % 3 === 0 ? 1 + (seed % 2) : Infinity;
      const problem = madeProblem({ ...made, seed, everything, pieces, room, slot: seed % 4 ? 30 : 15, effort: 3, days: 7 + (seed % 4) });
      const plan = planJobs(problem);
      const { wrong, cost } = check(problem, plan);
      assert.deepEqual(wrong, []);
      if (plan.unplanned.every((u) => !u)) assert.equal(plan.cost, cost);
    }),
    { numRuns: 2000 },
  );
});

/** A problem made easier. */
const eased = (problem: Problem, gift: 'hours' | 'place' | 'resin'): Problem =>
  gift === 'hours'
    ? { ...problem, hands: problem.hands.map((h, t) => (t % 48 === 40 || t % 48 === 41 ? 1 : h)) }
    : gift === 'place'
      ? { ...problem, places: [...problem.places, { length: 430, width: 300, room: 0 }] }
      : {
          ...problem,
          jobs: problem.jobs.map((job) => ({
            ...job,
            operations: job.operations.map((o) => (o.link.kind === 'film' ? { ...o, link: { ...o.link, from: o.link.from * 0.8 } } : o)),
          })),
        };

/** That a problem made easier costs no more than the plan that was made before, asked as the app asks: with where all was. */
function costsNoMore(problem: Problem, gift: 'hours' | 'place' | 'resin'): void {
  const before = planJobs(problem);
  fc.pre(before.unplanned.every((u) => !u));
  const easier = eased(problem, gift);
  const kept = check(easier, before);
  assert.deepEqual(kept.wrong, [], 'the plan still holds');
  const again = planJobs({ ...easier, jobs: easier.jobs.map((job, n) => asBefore(job, before.jobs[n]!, problem)) });
  assert.ok(again.cost <= kept.cost, `${again.cost} for ${kept.cost}`);
}

test('more hours, another place or quicker resin never cost more than the same plan kept would', () => {
  fc.assert(
    fc.property(fc.nat({ max: 1e6 }), fc.constantFrom('hours', 'place', 'resin'), (seed, gift) =>
      costsNoMore(madeProblem({ ...made, seed, room: 2 }), gift),
    ),
    { numRuns: 300 },
  );
});

test('what is done along with a wait takes no slot that another coat had', () => {
  for (const seed of [1079, 1083, 1090, 1161]) {
    const whole = madeProblem({ ...made, seed, room: 2, everything: true });
    // a pin that comes to be held may well cost more
    const jobs = whole.jobs.map((job) => ({ ...job, operations: job.operations.map(({ pin: _, ...operation }) => operation) }));
    for (const gift of ['hours', 'place'] as const) costsNoMore({ ...whole, jobs }, gift);
  }
});

test('the same problem gives the same plan, and a search that is stopped gives a plan all the same', () => {
  const problem = madeProblem({ ...made, seed: 7, effort: 60 });
  assert.deepEqual(planJobs(problem), planJobs(problem));
  let told = 0;
  const stopped = planJobs(problem, () => ++told < 2);
  assert.deepEqual(check(problem, stopped).wrong, []);
  assert.ok(planJobs(problem).cost <= stopped.cost);
});
