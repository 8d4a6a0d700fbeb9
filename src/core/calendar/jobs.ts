import type { Zone } from '#core/air';
import { boxOf, type DiaryEntry, type Method, type Resin } from '#core/document';
import type { Means, Planner, PiecePlan } from '#core/plan';
import type { Standing } from '#core/record';
import type { Along, Footprint, Job, Operation } from '#core/schedule';
import type { Films } from './films';
import { brushedBefore, didIn, drips, finishing, inOneGo, partsBefore, scuffMinutes, type About } from './work';

const MINUTE = 60_000;
const DAY = 86_400_000;
/** Finishing is asked for so long after a piece is hard; one that lies longer is taken for finished. */
export const ASKED = 14 * DAY;
/** A look at a board that was poured, and what wiping set drips takes more, min. */
const [CHECK, SET_DRIPS, HANDS_OVER, PULLS, CHIPS] = [5, 10, 15, 10, 15] as const;
/** From so long after a pour it is looked at, min. */
const LOOKED_AT = 30;
/** How a promise weighs where nothing is said. */
const WEIGHT = 3;

/** What jobs are made of. */
export interface Making {
  planner: Planner;
  means: Means;
  method: Method;
  films: Films;
  diary: readonly DiaryEntry[];
  zone: Zone;
  /** Beginning of the plan, ms since 1970. */
  start: number;
}

/** A job with what its operations are. */
export interface Made {
  job: Job;
  about: About[];
  /** Of things done along with a wait, by their ids. */
  along: Map<string, About>;
  standings: Standing[];
  plans: PiecePlan[];
}

/** Minutes from the beginning of the plan; before it they are negative. */
const minuteOf = (ms: number, { start }: Making): number => (ms - start) / MINUTE;

const slowest = (resins: Resin[]): Resin => [...resins].sort((a, b) => b.recoatFromH - a.recoatFromH)[0]!;

/** Pours of a piece that are still to come. */
export function leftOf({ next, open }: Standing, plan: PiecePlan): number[] {
  if (!next) return [];
  return plan.pours.flatMap((pour, i) => (i >= next.pour + (open ? 1 : 0) && pour.steps.length > 0 ? [i] : []));
}

/** An operation with what it is. */
interface Told {
  operation: Operation;
  about: About;
  along: About[];
}

/** What is done along with the wait after a pour: it is looked at, and a rim's tape comes off while the film is soft. */
function looks(plans: PiecePlan[], pour: number, id: string, resin: Resin, last: boolean): { along: Along[]; about: About[] } {
  const pieceIds = plans.map((p) => p.piece.id);
  const gel = resin.gelMin;
  const soft = 60 * resin.recoatFromH;
  const wet = plans.some((p) => drips(p, pour));
  const along: Along[] = [
    {
      id: `${id}-check`,
      minutes: CHECK * plans.length,
      from: Math.min(LOOKED_AT, gel / 2),
      until: Math.min(gel, soft),
      late: wet ? SET_DRIPS * plans.length : 0,
    },
  ];
  const about: About[] = [{ id: `${id}-check`, kind: 'check', pieceIds, works: [`${id}-check`], pour }];
  const pulled = plans.filter(
    (p) => last && p.piece.tapeOff === 'while soft' && (p.piece.edge === 'taped' || p.piece.coats.some((c) => c.edge === 'taped')),
  );
  if (pulled.length) {
    along.push({ id: `${id}-tape`, minutes: PULLS * pulled.length, from: Math.min(gel, soft), until: soft, late: CHIPS * pulled.length });
    about.push({
      id: `${id}-tape`,
      kind: 'pull tape',
      pieceIds: pulled.map((p) => p.piece.id),
      works: [`${id}-tape`],
      keys: ['pull the tape'],
    });
  }
  return { along, about };
}

/** Finishing and delivery, after the last film is hard. */
function afterwards(plans: PiecePlan[], id: string, method: Method): { finish?: { minutes: number; about: About }; deliver?: About } {
  const own = plans.map((p) => finishing(p, method));
  const minutes = own.reduce((sum, f) => sum + f.minutes, 0);
  const pieceIds = plans.map((p) => p.piece.id);
  const promised = plans.filter((p) => p.piece.dueOn).map((p) => p.piece.id);
  return {
    ...(minutes > 0 && {
      finish: {
        minutes,
        about: {
          id: `${id}/finish`,
          kind: 'finish',
          pieceIds,
          works: pieceIds.map((p) => `${p}/finish`),
          keys: [...new Set(own.flatMap((f) => f.keys))],
        },
      },
    }),
    ...(promised.length > 0 && {
      deliver: { id: `${id}/deliver`, kind: 'deliver', pieceIds: promised, works: promised.map((p) => `${p}/deliver`) },
    }),
  };
}

/** What is still to be prepared, what then dries, min, and until when what was done dries. */
interface Preparing {
  told: Told[];
  dry: number;
  notBefore: number;
}

/** What is done before the first pour of some pieces, step by step on all boards, less what was done. */
function preparing(plans: PiecePlan[], making: Making, did: ReadonlyMap<string, number>): Preparing {
  const own = plans.map((plan) => inOneGo(partsBefore(plan, making.method)));
  const told: Told[] = [];
  let [dry, notBefore] = [0, -Infinity];
  for (let i = 0; i < Math.max(0, ...own.map((goes) => goes.length)); i++) {
    const goes = own.flatMap((all) => all[i] ?? []);
    const parts = goes.flatMap((go) => go.parts);
    const left = parts.filter((part) => !did.has(part.work));
    const wait = Math.max(...goes.map((go) => go.wait));
    for (const part of parts) if (did.has(part.work)) notBefore = Math.max(notBefore, minuteOf(did.get(part.work)!, making) + part.wait);
    const [first] = left;
    if (!first) continue;
    const minutes = left.reduce((sum, part) => sum + part.minutes, 0);
    told.push({
      operation: { id: first.work, minutes, link: { kind: 'dry', minutes: dry }, along: [], ...(notBefore > -Infinity && { notBefore }) },
      about: {
        id: first.work,
        kind: 'prepare',
        pieceIds: [...new Set(left.map((part) => pieceOf(part.work)))],
        works: left.map((part) => part.work),
        keys: left.map((part) => part.key),
      },
      along: [],
    });
    dry = wait;
    notBefore = -Infinity;
  }
  return { told, dry, notBefore };
}

/** The piece that something is done to. */
export const pieceOf = (operation: string): string => operation.split('/')[0]!;

/** What lies on the boards of a job before anything of it is done, min. */
interface Lies {
  /** A film is there, or is being laid. */
  film: boolean;
  recoat: number;
  bond: number;
  hard: number;
  cured: number;
}

function liesOn(standings: Standing[], making: Making): Lies {
  const curing = standings.flatMap((s) => s.curing ?? []);
  const at = (moments: number[], of: (...m: number[]) => number, none: number): number =>
    moments.length ? minuteOf(of(...moments), making) : none;
  return {
    film: standings.some((s) => s.pours.length > 0),
    recoat: at(
      curing.map((c) => c.recoatFrom),
      Math.max,
      -Infinity,
    ),
    bond: at(
      curing.map((c) => c.bondUntil),
      Math.min,
      Infinity,
    ),
    hard: Math.max(
      0,
      at(
        curing.map((c) => c.handle),
        Math.max,
        0,
      ),
    ),
    cured: at(
      curing.map((c) => c.fullCure),
      Math.max,
      -Infinity,
    ),
  };
}

/** A pour that is brushed on first: that, and then the wait until it is dry. */
function brushing(
  plans: PiecePlan[],
  pours: number[],
  id: string,
  below: Resin | undefined,
  before: { dry: number; notBefore: number },
  making: Making,
  did: ReadonlyMap<string, number>,
): { told: Told[]; dry: number; notBefore: number } | undefined {
  const brushed = plans.flatMap((plan, i) => brushedBefore(plan, pours[i]!, making.method) ?? []);
  const [first] = brushed;
  if (!first) return undefined;
  const own = `${id}/brush-${first.coatId}`;
  const dry = Math.max(...brushed.map((b) => b.wait));
  const done = did.get(own);
  if (done !== undefined) return { told: [], dry: 0, notBefore: minuteOf(done, making) + dry };
  return {
    dry,
    notBefore: -Infinity,
    told: [
      {
        operation: {
          id: own,
          minutes: brushed.reduce((sum, b) => sum + b.minutes, 0),
          // a brush drags on a film that is not hard
          link: below ? { kind: 'film', from: 60 * below.handleH, until: Infinity } : { kind: 'dry', minutes: before.dry },
          along: [],
          ...(before.notBefore > -Infinity && { notBefore: before.notBefore }),
        },
        about: { id: own, kind: 'brush', pieceIds: plans.map((p) => p.piece.id), works: [own], pour: pours[0]! },
        along: [],
      },
    ],
  };
}

/**
 * A chain of all that is still to be done to a piece, or to several that are always poured together.
 * @param standings of its pieces, which have as many pours left
 */
export function jobOf(standings: Standing[], plans: PiecePlan[], making: Making): Made | undefined {
  const { planner, means, method, films, diary, zone } = making;
  const did = didIn(diary);
  const id = standings[0]!.piece.id;
  const lead = plans[0]!;
  const pieceIds = plans.map((p) => p.piece.id);
  const left = standings.map((s, i) => leftOf(s, plans[i]!));
  const lies = liesOn(standings, making);
  const fresh = plans.filter((_, i) => !standings[i]!.pours.length && left[i]!.length > 0);
  const prepared = preparing(fresh, making, did);
  const told = [...prepared.told];
  const after = afterwards(plans, id, method);
  const scuff = plans.reduce((sum, plan) => sum + scuffMinutes(plan, method), 0);
  let below: Resin | undefined;

  for (let k = 0; k < left[0]!.length; k++) {
    const pours = left.map((own) => own[k]!);
    const { steps, batches } = planner.together(
      plans.map((plan, i) => ({ plan, pour: pours[i]! })),
      means,
    );
    const resin = slowest(batches.map((b) => b.resin));
    const coats = lead.pours[pours[0]!]!.coats;
    const poured = `${id}/pour-${coats[0]!.coat.id}`;
    const last = k === left[0]!.length - 1;
    const first = k === 0 ? { dry: told.length ? prepared.dry : 0, notBefore: prepared.notBefore } : { dry: 0, notBefore: -Infinity };
    const waits = { ...first, notBefore: Math.max(first.notBefore, k === 0 && lies.film ? lies.hard : -Infinity) };
    const brushed = brushing(plans, pours, id, below, waits, making, did);
    told.push(...(brushed?.told ?? []));
    const own = looks(plans, pours[0]!, poured, resin, last);
    if (last && after.finish) {
      own.along.push({ id: after.finish.about.id, minutes: after.finish.minutes, from: 60 * resin.handleH, until: Infinity, late: 0 });
      own.about.push(after.finish.about);
    }
    const onFilm = !brushed && below;
    const onOld = !brushed && k === 0 && lies.film;
    const notBefore = brushed ? brushed.notBefore : onOld ? Math.max(lies.recoat, first.notBefore) : first.notBefore;
    told.push({
      operation: {
        id: poured,
        minutes: Math.max(15, Math.ceil(steps.at(-1)?.at ?? 0)),
        link: onFilm
          ? { kind: 'film', from: 60 * onFilm.recoatFromH, until: 60 * onFilm.bondUntilH }
          : { kind: 'dry', minutes: brushed ? brushed.dry : first.dry },
        film: { of: films.of(resin), tack: 60 * resin.recoatFromH, handle: 60 * resin.handleH },
        along: own.along,
        ...((onFilm || onOld) && { late: scuff }),
        ...(onOld && { until: lies.bond }),
        ...(notBefore > -Infinity && { notBefore }),
      },
      about: { id: poured, kind: 'pour', pieceIds, works: [poured], pour: pours[0]!, coats: coats.map((c) => c.name), resinId: resin.id },
      along: own.about,
    });
    below = resin;
  }

  if (!below && after.finish && !did.has(after.finish.about.id) && lies.film && -lies.cured * MINUTE < ASKED)
    told.push({ operation: plainly(after.finish.about.id, after.finish.minutes, lies.hard), about: after.finish.about, along: [] });
  if (after.deliver && !did.has(after.deliver.id))
    told.push({
      operation: below
        ? {
            id: after.deliver.id,
            minutes: HANDS_OVER,
            link: { kind: 'film', from: 60 * below.fullCureH, until: Infinity, of: films.of(below, true) },
            along: [],
          }
        : plainly(after.deliver.id, HANDS_OVER, lies.cured),
      about: after.deliver,
      along: [],
    });
  if (!told.length) return undefined;
  return {
    job: {
      id,
      pieces: standings.map(({ piece }) => ({
        id: piece.id,
        weight: piece.priority ?? WEIGHT,
        ...(piece.dueOn && { due: minuteOf(zone.dayStart(zone.momentOf(`${piece.dueOn}T12:00`), 1), making) }),
      })),
      boards: standings.flatMap(footprints),
      operations: told.map((t) => t.operation),
      begins: { from: 0, hard: lies.film ? lies.hard : 0 },
    },
    about: told.map((t) => t.about),
    along: new Map(told.flatMap((t) => t.along.map((a) => [a.id, a]))),
    standings,
    plans,
  };
}

const plainly = (id: string, minutes: number, notBefore: number): Operation => ({
  id,
  minutes,
  link: { kind: 'dry', minutes: 0 },
  along: [],
  ...(notBefore > -Infinity && { notBefore }),
});

/** Boards of a piece as they lie. */
export function footprints({ piece }: Pick<Standing, 'piece'>): Footprint[] {
  const [length, width] = boxOf(piece.shape);
  return Array.from({ length: piece.count }, () => ({ length, width }));
}
