import type { Zone } from '#core/air';
import { curingOf, fits, planJobs, slotsOf, stretchesOf, type Lying, type Plan, type Step, type Stretch, type Tell } from '#core/schedule';
import type { Asked } from './asked';
import type { Made } from './jobs';
import { handsIn, noResinIn } from './hours';
import type { MadeProblem, Odd } from './problem';
import type { About } from './work';

const MINUTE = 60_000;

/** One thing that takes the hands, as it is planned; moments in ms since 1970. */
export interface Session extends About {
  from: number;
  until: number;
  /** When it begins itself, after a scuff of so many minutes. */
  begins: number;
  scuff: number;
  /** The artist holds it there. */
  pinned: boolean;
  /** It follows another by itself, and cannot be moved apart from it. */
  follows?: string;
  /** Where its boards lie. */
  place?: string;
  /** Its film, of a pour. */
  tacky?: number;
  handle?: number;
}

/** Why a piece has no plan. */
export interface Obstacle {
  kind: 'place' | 'hands' | 'cold' | 'guests' | 'dew' | 'full' | 'drawing';
  /** What finds no slot. */
  of?: About;
  /** Minutes it needs in one go, and the most there are. */
  needs?: number;
  most?: number;
}

/** A promise and what becomes of it; moments in ms since 1970. */
export interface Promise {
  pieceId: string;
  on: string;
  /** The end of that day. */
  due: number;
  /** When its last operation ends; undefined where it has no plan. */
  ready?: number;
  kept: boolean;
}

/** A piece over the days. */
export interface Lane {
  pieceId: string;
  name: string;
  count: number;
  stretches: Stretch[];
  /** End of its last operation. */
  ready?: number;
  promise?: Promise;
  obstacle?: Obstacle;
}

/** What is planned, as plain data. */
export interface Calendar {
  now: number;
  from: number;
  until: number;
  /** In order of time. */
  sessions: Session[];
  lanes: Lane[];
  odd: Odd[];
  /** Operations whose pins cannot be held. */
  unpinned: string[];
  /** The artist's hours, busy times and times without resin, in which the days lie. */
  hours: { from: number; until: number }[];
  busy: { from: number; until: number; what?: string }[];
  noResin: { from: number; until: number; what: string }[];
  /** Cost of the plan, for comparing two. */
  cost: number;
  /** Hands over all of it, min. */
  hands: number;
}

/** A plan of a studio, with all that can be asked of it. */
export class Planned {
  readonly plan: Plan;

  constructor(
    readonly asked: Asked,
    readonly made: MadeProblem,
    tell?: Tell,
  ) {
    this.plan = planJobs(made.problem, tell);
  }

  get zone(): Zone {
    return this.made.zone;
  }

  /** A minute of the problem as a moment, ms since 1970. */
  moment = (minute: number): number => this.made.start + minute * MINUTE;

  /** The sessions of a job as it was put. */
  #sessionsOf({ job, about, along }: Made, steps: Step[]): Session[] {
    const { problem, places } = this.made;
    return steps.flatMap((step, k) => {
      const operation = job.operations[k]!;
      const scuff = step.late ? operation.late! : 0;
      const from = this.moment(step.start * problem.slot);
      const begins = from + scuff * MINUTE;
      const until = begins + operation.minutes * MINUTE;
      const own = about[k]!;
      const curing = own.resinId === undefined ? undefined : this.#curing(own.resinId, until);
      const place = step.place >= 0 ? places[step.place] : undefined;
      const session: Session = {
        ...own,
        from,
        begins,
        until,
        scuff,
        pinned: operation.pin !== undefined && !this.plan.unpinned.includes(own.id),
        ...(place !== undefined && { place }),
        ...(curing && { tacky: curing.recoatFrom, handle: curing.handle }),
      };
      const follows = step.along.map((a, i): Session => {
        const { id, minutes, late } = operation.along[i]!;
        const begun = this.moment(a.start * problem.slot);
        return {
          ...along.get(id)!,
          from: begun,
          begins: begun,
          until: begun + (minutes + (a.late ? late : 0)) * MINUTE,
          scuff: 0,
          pinned: false,
          follows: own.id,
        };
      });
      return [session, ...follows];
    });
  }

  #curing(resinId: string, mixed: number) {
    const { asked, made } = this;
    const resin = asked.resins.find((r) => r.id === resinId);
    return resin && curingOf({ mixed, resin, room: made.room, method: asked.method }, made.airs);
  }

  /** Why a job has no plan. */
  #obstacle(number: number, stuck: number): Obstacle {
    const { problem, made } = this.made;
    const { job, about } = made[number]!;
    const operation = job.operations[stuck]!;
    const of = about[stuck]!;
    if (operation.film && !problem.places.some((p) => fits(p, job.boards))) return { kind: 'place', of };
    let [most, run] = [0, 0];
    for (const hand of problem.hands) most = Math.max(most, (run = hand ? run + 1 : 0));
    if (slotsOf(operation.minutes, problem) > most) return { kind: 'hands', of, needs: operation.minutes, most: most * problem.slot };
    const { link } = operation;
    const before = job.operations[stuck - 1]?.film;
    if (link.kind === 'film' && before && (problem.ages[link.of ?? before.of]![0]!.at(-1) ?? 0) < link.from) return { kind: 'cold', of };
    if ((operation.notBefore ?? 0) > problem.slots * problem.slot) return { kind: 'cold', of };
    if (operation.film) {
      const rooms = problem.rooms[0]!;
      if (rooms.damp.includes(2)) return { kind: 'dew', of };
      if (rooms.out.includes(1)) return { kind: 'guests', of };
    }
    return { kind: 'full', of };
  }

  /** What is planned, as plain data. */
  get calendar(): Calendar {
    const { asked, made, plan, zone } = this;
    const { problem, start, standings, room, odd } = made;
    const until = this.moment(problem.slots * problem.slot);
    const byJob = made.made.map((m, n) => this.#sessionsOf(m, plan.jobs[n]!));
    const sessions = byJob.flat().sort((a, b) => a.from - b.from || (a.id < b.id ? -1 : 1));
    const lanes = standings.flatMap((standing): Lane[] => {
      const { piece } = standing;
      const n = made.made.findIndex((m) => m.standings.includes(standing));
      const own = n < 0 ? [] : byJob[n]!.filter((s) => s.pieceIds.includes(piece.id));
      const pours = own.filter((s) => s.kind === 'pour');
      const planned = pours.flatMap((s, i): Lying[] => {
        const curing = this.#curing(s.resinId!, s.until);
        return curing ? [{ started: s.from, mixed: s.until, done: s.until, curing, last: i === pours.length - 1, planned: true }] : [];
      });
      const prepares = own.filter((s) => s.kind === 'prepare');
      const preparing: Stretch[] = prepares.map((s, i) => ({
        doing: 'prepare',
        from: s.from,
        until: prepares[i + 1]?.from ?? pours[0]?.from ?? s.until,
        planned: true,
      }));
      const stretches = [...preparing, ...stretchesOf([...standing.lying, ...planned])];
      const ready = own.length ? Math.max(...own.map((s) => s.until)) : undefined;
      const stuck = n < 0 ? undefined : plan.unplanned[n];
      const noPlan = odd.some((o) => o.kind === 'no plan' && o.pieceId === piece.id);
      const promise = this.#promise(piece, ready, stuck !== undefined || noPlan);
      if (!stretches.length && !promise && !stuck && !noPlan) return [];
      return [
        {
          pieceId: piece.id,
          name: piece.name,
          count: piece.count,
          stretches,
          ...(ready !== undefined && { ready }),
          ...(promise && { promise }),
          ...(stuck && { obstacle: this.#obstacle(n, stuck.operation) }),
          ...(noPlan && { obstacle: { kind: 'drawing' } }),
        },
      ];
    });
    const { hours, busy } = handsIn(asked.diary, zone, start - 86_400_000, until);
    return {
      now: asked.now,
      from: start,
      until,
      sessions,
      lanes: lanes.sort(byNeed),
      odd,
      unpinned: plan.unpinned,
      hours,
      busy,
      noResin: noResinIn(asked.diary, zone, room.id, start, until).filter((s) => s.until > start && s.from < until),
      cost: plan.cost,
      hands: sessions.reduce((sum, s) => sum + (s.until - s.from) / MINUTE, 0),
    };
  }

  /** What becomes of a piece's promise; one that was handed over has none any more. */
  #promise(piece: Asked['pieces'][number], ready: number | undefined, stuck: boolean): Promise | undefined {
    const { dueOn } = piece;
    if (!dueOn || (ready === undefined && !stuck)) return undefined;
    const due = this.zone.dayStart(this.zone.momentOf(`${dueOn}T12:00`), 1);
    return { pieceId: piece.id, on: dueOn, due, ...(ready !== undefined && { ready }), kept: ready !== undefined && ready <= due };
  }
}

/** Lanes in the order in which they need the hands: what comes first, first. */
function byNeed(a: Lane, b: Lane): number {
  const begins = ({ stretches }: Lane): number => Math.min(...stretches.map((s) => s.from));
  const [x, y] = [begins(a), begins(b)];
  return x === y ? (a.name < b.name ? -1 : 1) : x - y;
}
