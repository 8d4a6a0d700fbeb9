import { steady, Zone } from '#core/air';
import { Airs } from '#core/cure';
import type { Piece, Room } from '#core/document';
import { Planner, type Means, type PiecePlan } from '#core/plan';
import { Standings, type Standing } from '#core/record';
import { effortFor, fits, type Problem } from '#core/schedule';
import { HORIZON_DAYS, type Asked } from './asked';
import { Films } from './films';
import { handsIn } from './hours';
import { ASKED, footprints, jobOf, leftOf, type Made } from './jobs';
import { fillTouched, fillWhole, placesOf, roomOverTime } from './rooms';

const [MINUTE, SLOT] = [60_000, 15];
const SLOTS = (HORIZON_DAYS * 1440) / SLOT;
/** Announced sessions hold for so long, min. */
const HOLDS = 48 * 60;

/** What is not as the diary would have it, and is said. */
export type Odd =
  | { kind: 'apart'; pieceIds: string[] }
  | { kind: 'pin past'; operation: string; at: number }
  /** Its drawing cannot be cut, or a resin is gone. */
  | { kind: 'no plan'; pieceId: string };

/** A problem, and what its parts are. */
export interface MadeProblem {
  problem: Problem;
  /** ms since 1970 */
  start: number;
  made: Made[];
  odd: Odd[];
  standings: Standing[];
  room: Room;
  airs: Airs;
  zone: Zone;
  /** Names of the places, as the problem numbers them. */
  places: string[];
}

/** What is kept between one calendar and the next. */
export class Maker {
  readonly planner: Planner;
  readonly #standings = new Standings();
  #airs?: { key: string; days: Asked['air']; airs: Airs };

  constructor(planner = new Planner()) {
    this.planner = planner;
  }

  #airsOf({ zone, air }: Asked): Airs {
    if (this.#airs?.key !== zone || this.#airs.days !== air) this.#airs = { key: zone, days: air, airs: new Airs(new Zone(zone), air) };
    return this.#airs.airs;
  }

  /** Sorts a studio into jobs, hands, places and air. */
  make(asked: Asked): MadeProblem {
    const { pieces, summaries, diary, resins, colourants, method, rooms, settings, benchC, now } = asked;
    const airs = this.#airsOf(asked);
    const { zone } = airs;
    const room = rooms.find((r) => r.id === settings.roomId) ?? rooms[0]!;
    const means: Means = { resins, colourants, method, air: steady(benchC), scaleStep: settings.scaleStep };
    const standings = this.#standings.of(pieces, summaries, { airs, means, room }, now);
    const start = Math.ceil(now / (SLOT * MINUTE)) * SLOT * MINUTE;
    const films = new Films(airs, [room], method, start, SLOT, SLOTS);
    const odd: Odd[] = [];
    const making = { planner: this.planner, means, method, films, diary, zone, start };
    const groups = grouped(standings, asked, this.planner, means, odd);
    const made = groups.flatMap(({ own, plans }) => jobOf(own, plans, making) ?? []);
    const places = placesOf(room, 0);
    pinned(made, asked, start, odd);
    announced(made, asked, start);
    const climate = airs.of(room);
    const problem: Problem = {
      slot: SLOT,
      slots: SLOTS,
      hands: handsOver(asked, zone, start),
      busyUntil: busyUntil(standings, this.planner, means, start),
      rooms: [roomOverTime(room, climate, diary, zone, start, SLOT, SLOTS)],
      ages: films.ages,
      places,
      lying: [],
      jobs: made.map((m) => m.job),
      seed: 1,
      effort: effortFor(made.length),
    };
    lay(problem, made, standings, start);
    return { problem, start, made, odd, standings, room, airs, zone, places: room.places?.map((p) => p.name) ?? [] };
  }
}

/** Pieces by the sessions they are poured in: those the diary holds together, where they can be, and each other alone. */
function grouped(
  all: Standing[],
  { diary, now }: Asked,
  planner: Planner,
  means: Means,
  odd: Odd[],
): { own: Standing[]; plans: PiecePlan[] }[] {
  const planned = new Map<string, { standing: Standing; plan: PiecePlan }>();
  const out = new Set(diary.flatMap((e) => (e.kind === 'left out' ? [e.pieceId] : [])));
  const standings = all.filter(
    ({ piece, next, curing }) => !out.has(piece.id) && (next || piece.dueOn || (curing && now - curing.fullCure < ASKED)),
  );
  for (const standing of standings) {
    const { piece } = standing;
    const plan = planner.planIfAble(piece, means);
    if (plan) planned.set(piece.id, { standing, plan });
    else odd.push({ kind: 'no plan', pieceId: piece.id });
  }
  const groups: { own: Standing[]; plans: PiecePlan[] }[] = [];
  const gone = new Set<string>();
  for (const entry of diary) {
    if (entry.kind !== 'together') continue;
    const named = entry.pieceIds.flatMap((id) => (gone.has(id) ? [] : (planned.get(id) ?? [])));
    const counts = named.map(({ standing, plan }) => leftOf(standing, plan).length);
    const left = named.filter((_, i) => counts[i]! > 0);
    if (left.length < 2) continue;
    if (new Set(counts.filter((n) => n > 0)).size > 1 || new Set(left.map(({ standing }) => standing.pours.length > 0)).size > 1) {
      odd.push({ kind: 'apart', pieceIds: left.map(({ standing }) => standing.piece.id) });
      continue;
    }
    for (const { standing } of left) gone.add(standing.piece.id);
    groups.push({ own: left.map((l) => l.standing), plans: left.map((l) => l.plan) });
  }
  for (const { standing, plan } of planned.values()) if (!gone.has(standing.piece.id)) groups.push({ own: [standing], plans: [plan] });
  return groups.sort((a, b) => (a.own[0]!.piece.id < b.own[0]!.piece.id ? -1 : 1));
}

/** Hands by slot: the artist's hours, less busy times. */
function handsOver({ diary }: Asked, zone: Zone, start: number): Uint8Array {
  const hands = new Uint8Array(SLOTS);
  const { hours, busy } = handsIn(diary, zone, start, start + SLOTS * SLOT * MINUTE);
  for (const span of hours) fillWhole(hands, span, start, SLOT, 1);
  for (const span of busy) fillTouched(hands, span, start, SLOT, 0);
  return hands;
}

/** A pour that is under way ends when its steps say, and not before now. */
function busyUntil(standings: Standing[], planner: Planner, means: Means, start: number): number {
  const ends = standings.flatMap(({ open, piece, next }) => {
    if (!open) return [];
    const pours = planner.planIfAble(piece, means)?.pours ?? [];
    const steps = pours[(next?.pour ?? pours.length) - 1]?.steps;
    return [Math.max(start, open.started + MINUTE * (steps?.at(-1)?.at ?? 0))];
  });
  return Math.max(0, ...ends.map((end) => Math.ceil((end - start) / (SLOT * MINUTE))));
}

/** Boards that lie and are not hard yet: each on the first place that takes it beside the others. */
function lay(problem: Problem, made: Made[], standings: Standing[], start: number): void {
  for (const standing of standings) {
    const hard = standing.curing ? (standing.curing.handle - start) / MINUTE : 0;
    if (hard <= 0 || !standing.pours.length) continue;
    const boards = footprints(standing);
    const at = problem.places.findIndex((p, i) =>
      fits(p, [...boards, ...problem.lying.filter((l) => l.place === i).flatMap((l) => l.boards)]),
    );
    if (at < 0) continue;
    const job = made.findIndex((m) => m.standings.includes(standing));
    problem.lying.push({ place: at, until: hard, boards, ...(job >= 0 && { job }) });
    if (job >= 0) problem.jobs[job]!.begins.place = at;
  }
}

/** What the artist pinned: by the diary, and the next pour of a piece by the day the piece has for it. */
function pinned(made: Made[], { diary, pieces, now }: Asked, start: number, odd: Odd[]): void {
  const pins = new Map<string, number>();
  const byId = new Map<string, Piece>(pieces.map((p) => [p.id, p]));
  for (const { about } of made) {
    const next = about.find((a) => a.kind === 'pour');
    for (const id of next?.pieceIds ?? []) {
      const at = byId.get(id)?.pourAt;
      if (at && Date.parse(at) >= now) pins.set(next!.id, Date.parse(at));
    }
  }
  for (const entry of diary) if (entry.kind === 'pin') pins.set(entry.operation, Date.parse(entry.at));
  for (const { job, about } of made)
    job.operations.forEach((operation, k) => {
      const at = pins.get(about[k]!.id);
      if (at === undefined) return;
      if (at < start - SLOT * MINUTE) odd.push({ kind: 'pin past', operation: operation.id, at });
      else if (at < start + SLOTS * SLOT * MINUTE) operation.pin = Math.max(0, Math.round((at - start) / (SLOT * MINUTE)));
    });
}

/** Sessions that were announced for the next two days. */
function announced(made: Made[], { diary }: Asked, start: number): void {
  const at = new Map(
    diary.flatMap((e): [string, number][] => (e.kind === 'announced' ? [[e.operation, (Date.parse(e.at) - start) / MINUTE]] : [])),
  );
  for (const { job } of made)
    for (const operation of job.operations) {
      const minute = at.get(operation.id);
      if (minute === undefined || minute < 0) continue;
      if (minute <= HOLDS) operation.announced = Math.round(minute);
      if (minute < SLOTS * SLOT) operation.before = Math.round(minute / SLOT);
    }
}
