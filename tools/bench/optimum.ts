/**
 * The calendar as a time-indexed integer program, solved to a proven optimum (HiGHS). For the proof alone: problems without
 * things done along with a wait, with one place, and without pins.
 */
import { momentOfAge, slotsOf, weights, type Operation, type Plan, type Problem, type Step } from '#core/schedule';
import load from 'highs';

/** Of an operation and a mode, by slot, the variable that is 1 once it has begun; undefined while it cannot have. */
type Begun = (string | undefined)[];

interface Mode {
  operation: Operation;
  late: boolean;
  minutes: number;
  begun: Begun;
  /** By slot, what beginning there costs; undefined where it cannot. */
  cost: (number | undefined)[];
}

const SOLVED = 'Optimal';

/** Sums of variables, as rows of the program are written. */
class Program {
  readonly #rows: string[] = [];
  readonly #variables = new Set<string>();
  readonly #objective = new Map<string, number>();

  variable(name: string): string {
    this.#variables.add(name);
    return name;
  }

  row(terms: [number, string | undefined][], relation: '<=' | '=', right: number): void {
    const sum = new Map<string, number>();
    for (const [k, name] of terms) if (name) sum.set(name, (sum.get(name) ?? 0) + k);
    const text = [...sum].filter(([, k]) => k !== 0).map(([name, k]) => `${k < 0 ? '-' : '+'} ${Math.abs(k)} ${name}`);
    if (text.length) this.#rows.push(`${text.join(' ')} ${relation} ${right}`);
    else if (relation === '=' && right !== 0) throw new Error('this can never be');
  }

  costs(k: number, name: string | undefined): void {
    if (name) this.#objective.set(name, (this.#objective.get(name) ?? 0) + k);
  }

  toString(): string {
    const objective = [...this.#objective].filter(([, k]) => k !== 0).map(([name, k]) => `${k < 0 ? '-' : '+'} ${Math.abs(k)} ${name}`);
    return [
      'Minimize',
      ` obj: ${objective.join('\n ')}`,
      'Subject To',
      ...this.#rows.map((row, i) => ` c${i}: ${row}`),
      'Binary',
      ...[...this.#variables].map((name) => ` ${name}`),
      'End',
    ].join('\n');
  }
}

/** By slot, what beginning an operation there costs by itself, and whether it can. */
function costsOf(problem: Problem, j: number, operation: Operation, late: boolean): (number | undefined)[] {
  const { slot, slots, hands, rooms, ages } = problem;
  const job = problem.jobs[j]!;
  const extra = late ? operation.late! : 0;
  const minutes = operation.minutes + extra;
  const last = operation === job.operations.at(-1);
  return Array.from({ length: slots }, (_, s) => {
    const length = slotsOf(minutes, problem);
    if (s + length > slots || hands.subarray(s, s + length).includes(0)) return undefined;
    let cost = weights.scuff * extra;
    const laid = s * slot + minutes;
    if (operation.film) {
      const age = ages[operation.film.of]![0]!;
      const tack = momentOfAge(age, operation.film.tack, laid, slot);
      const handle = momentOfAge(age, operation.film.handle, laid, slot);
      for (let t = s; t < slots && t * slot < handle; t++) {
        if (rooms[0]!.damp[t] === 2 || (t * slot < tack && rooms[0]!.out[t])) return undefined;
        if (rooms[0]!.damp[t] === 1 && t >= Math.floor(laid / slot)) cost += weights.damp * slot;
      }
    }
    if (last)
      for (const { due, weight } of job.pieces)
        cost += weights.end * laid + (due === undefined ? 0 : weights.lateness * weight * Math.max(0, laid - due));
    return cost;
  });
}

/** The modes of an operation, its variables, and that it begins once. */
function modesOf(program: Program, problem: Problem, j: number, k: number): Mode[] {
  const operation = problem.jobs[j]!.operations[k]!;
  const modes = (operation.late === undefined ? [false] : [false, true]).map((late): Mode => {
    const cost = costsOf(problem, j, operation, late);
    const begun: Begun = [];
    let current: string | undefined;
    cost.forEach((c, s) => {
      if (c !== undefined) {
        const before = current;
        current = program.variable(`x${j}_${k}_${late ? 's' : 'p'}_${s}`);
        // once begun it has begun
        if (before)
          program.row(
            [
              [1, before],
              [-1, current],
            ],
            '<=',
            0,
          );
        program.costs(c, current);
        program.costs(-c, before);
      }
      begun[s] = current;
    });
    return { operation, late, minutes: operation.minutes + (late ? operation.late! : 0), begun, cost };
  });
  program.row(
    modes.map((m) => [1, m.begun.at(-1)]),
    '=',
    1,
  );
  return modes;
}

/** By slot t, the last slot an operation may have begun in for something of its film to have come by then; −1 where there is none. */
function beginsBy(problem: Problem, { operation, minutes }: Mode, age: number | undefined, wait: number, inclusive = true): number[] {
  const { slot, slots, ages } = problem;
  const moment = (s: number): number => {
    const laid = s * slot + minutes;
    return age === undefined ? laid + wait : momentOfAge(ages[operation.film!.of]![0]!, age, laid, slot);
  };
  let s = -1;
  return Array.from({ length: slots }, (_, t) => {
    while (s + 1 < slots && (inclusive ? moment(s + 1) <= t * slot + 1e-9 : moment(s + 1) < t * slot - 1e-9)) s++;
    return s;
  });
}

const at = (begun: Begun, s: number): string | undefined => (s < 0 ? undefined : begun[s]);

/** An operation begins no sooner than what is before it lets it, and as it is only while the film still takes it. */
function follow(program: Program, problem: Problem, before: Mode[], modes: Mode[]): void {
  const { link } = modes[0]!.operation;
  const from = before.map((m) =>
    beginsBy(problem, m, link.kind === 'film' ? link.from : undefined, link.kind === 'dry' ? link.minutes : 0),
  );
  for (let t = 0; t < problem.slots; t++)
    if (modes.some((m) => m.cost[t] !== undefined))
      program.row(
        [
          ...modes.map((m) => [1, m.begun[t]] as [number, string | undefined]),
          ...before.map((m, i) => [-1, at(m.begun, from[i]![t]!)] as [number, string | undefined]),
        ],
        '<=',
        0,
      );
  const [plain] = modes;
  if (link.kind !== 'film' || !Number.isFinite(link.until) || plain!.operation.late === undefined) return;
  const gone = before.map((m) => beginsBy(problem, m, link.until, 0, false));
  for (let t = 0; t < problem.slots; t++) {
    if (plain!.cost[t] === undefined) continue;
    program.row(
      [
        [1, plain!.begun[t]],
        [-1, t > 0 ? plain!.begun[t - 1] : undefined],
        ...before.flatMap((m, i): [number, string | undefined][] => [
          [-1, at(m.begun, from[i]![t]!)],
          [1, at(m.begun, gone[i]![t]!)],
        ]),
      ],
      '<=',
      0,
    );
  }
}

/** One pair of hands: no two at once. */
function hands(program: Program, problem: Problem, all: Mode[]): void {
  for (let t = 0; t < problem.slots; t++)
    if (problem.hands[t])
      program.row(
        all.flatMap((m): [number, string | undefined][] => [
          [1, m.begun[t]],
          [-1, at(m.begun, t - slotsOf(m.minutes, problem))],
        ]),
        '<=',
        1,
      );
}

/** No more boards lie at once than the place takes. */
function places(program: Program, problem: Problem, jobs: Mode[][][], most: number): void {
  for (let t = 0; t < problem.slots; t++) {
    const lies = jobs.map((modes, j) => {
      const name = program.variable(`y${j}_${t}`);
      for (const pour of modes)
        for (const m of pour) {
          if (!m.operation.film) continue;
          const hard = beginsBy(problem, m, m.operation.film.handle, 0)[t]!;
          program.row(
            [
              [1, m.begun[t]],
              [-1, at(m.begun, hard)],
              [-1, name],
            ],
            '<=',
            0,
          );
        }
      return name;
    });
    program.row(
      lies.map((name) => [1, name]),
      '<=',
      most,
    );
  }
}

/** The best plan there is, or the best known after `seconds` with how far off it may be. */
export async function optimum(
  problem: Problem,
  boardsAtOnce: number,
  seconds: number,
): Promise<{ plan: Plan; bound: number; proven: boolean }> {
  const program = new Program();
  const jobs = problem.jobs.map((job, j) => job.operations.map((_, k) => modesOf(program, problem, j, k)));
  for (const operations of jobs) operations.slice(1).forEach((modes, k) => follow(program, problem, operations[k]!, modes));
  hands(program, problem, jobs.flat(2));
  if (boardsAtOnce < problem.jobs.length) places(program, problem, jobs, boardsAtOnce);
  const highs = await load();
  const solution = highs.solve(program.toString(), { time_limit: seconds, mip_rel_gap: 1e-6, output_flag: false });
  const columns = (solution as unknown as { Columns: Record<string, { Primal: number }> }).Columns;
  const isSet = (name: string | undefined): boolean => name !== undefined && columns[name]!.Primal > 0.5;
  const steps = jobs.map((operations) =>
    operations.map((modes): Step => {
      const m = modes.find((mode) => isSet(mode.begun.at(-1)))!;
      const start = m.begun.findIndex((name) => isSet(name));
      return { start, late: m.late, place: m.operation.film ? 0 : -1, along: [] };
    }),
  );
  return {
    plan: { jobs: steps, unplanned: steps.map(() => undefined), unpinned: [], cost: Math.round(solution.ObjectiveValue) },
    bound: solution.ObjectiveValue,
    proven: solution.Status === SOLVED,
  };
}
