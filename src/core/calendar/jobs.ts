import { boxOf, type Resin } from '#core/document';
import type { PiecePlan } from '#core/plan';
import type { Standing } from '#core/record';
import { curingOf, type Footprint, type Job, type Link, type Operation } from '#core/schedule';
import { afterwards, looks, looksLeft } from './after-pour';
import { brushing, preparing } from './before-pour';
import { minuteOf, MINUTE, type Making } from './making';
import { didIn, scuffMinutes, waitsFor, type About } from './work';

const DAY = 86_400_000;
/** Finishing is asked for so long after a piece is hard; one that lies longer is taken for finished. */
export const ASKED = 14 * DAY;
/** Handing a piece over, min. */
const HANDS_OVER = 15;
/** How a promise weighs where nothing is said. */
const WEIGHT = 3;

/** A job with what its operations are. */
export interface Made {
  job: Job;
  about: About[];
  /** Of things done along with a wait, by their ids. */
  along: Map<string, About>;
  standings: Standing[];
  plans: PiecePlan[];
}

const slowest = (resins: Resin[]): Resin => [...resins].sort((a, b) => b.recoatFromH - a.recoatFromH)[0]!;

/** Pours of a piece that are still to come; one under way is not. */
export const leftOf = ({ next }: Standing, plan: PiecePlan): number[] =>
  next ? plan.pours.flatMap((pour, i) => (i >= next.pour && pour.steps.length > 0 ? [i] : [])) : [];

/** What lies on the boards of a job before anything of it is done, min. */
interface Lies {
  /** A film is there, or is being laid. */
  film: boolean;
  /** It no longer runs, is open, no longer bonds, can be handled, is hard. */
  still: number;
  recoat: number;
  bond: number;
  hard: number;
  cured: number;
}

/** Age at which a film no longer runs, min: twice its working age, when it is as thick again as it has become by then. */
const stillAt = (resin: Resin, { planner, method }: Making): number => 2 * planner.aged(resin, method).workingMin;

/** When the film that was laid last no longer runs, min. */
function stillFrom({ pours, open }: Standing, making: Making): number {
  const last = open ?? pours.findLast((p) => p.done !== undefined);
  if (!last?.cures) return -Infinity;
  const { resin, room, method } = last.cures;
  const line = making.films.airs.line(room, resin.refC, method.activationEa);
  return minuteOf(line.momentOf(Math.min(stillAt(resin, making), 60 * resin.recoatFromH), last.mixed), making);
}

function liesOn(standings: Standing[], making: Making): Lies {
  const curing = standings.flatMap(({ open, curing }) => {
    // what is being poured lies from now on
    if (open?.cures) return curingOf({ mixed: Math.max(open.mixed, making.start), ...open.cures }, making.films.airs);
    return curing ?? [];
  });
  const at = (moments: number[], of: (...m: number[]) => number, none: number): number =>
    moments.length ? minuteOf(of(...moments), making) : none;
  return {
    film: standings.some((s) => s.pours.length > 0),
    still: Math.max(-Infinity, ...standings.map((s) => stillFrom(s, making))),
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
  const told = [...looksLeft(standings, plans, making, did), ...prepared.told];
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
    const brushed = brushing(
      plans,
      pours,
      id,
      below,
      { ...first, notBefore: Math.max(first.notBefore, k === 0 && lies.film ? lies.hard : -Infinity) },
      making,
      did,
    );
    told.push(...(brushed?.told ?? []));
    const own = looks(plans, pours[0]!, poured, resin, last);
    if (last && after.finish) {
      own.along.push({ id: after.finish.about.id, minutes: after.finish.minutes, from: 60 * resin.handleH, until: Infinity, late: 0 });
      own.about.push(after.finish.about);
    }
    const onFilm = !brushed && below;
    const onOld = !brushed && k === 0 && lies.film;
    // the slowest of what its boards wait for
    const waits = pours.map((pour, i) => waitsFor(plans[i]!, pour));
    const until = waits.includes('hard') ? 'hard' : waits.includes('recoat') ? 'recoat' : 'tacky';
    const opens = { tacky: lies.still, recoat: lies.recoat, hard: lies.cured }[until];
    const notBefore = brushed ? brushed.notBefore : onOld ? Math.max(opens, first.notBefore) : first.notBefore;
    told.push({
      operation: {
        id: poured,
        minutes: Math.max(15, Math.ceil(steps.at(-1)?.at ?? 0)),
        link: onFilm ? opensAt(onFilm, until, making) : { kind: 'dry', minutes: brushed ? brushed.dry : first.dry },
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

/** When a film takes the next coat: as it opens, as soon as it no longer runs, or once it is hard; ages. */
function opensAt(resin: Resin, until: 'tacky' | 'recoat' | 'hard', making: Making): Link {
  const bond = 60 * resin.bondUntilH;
  const open = 60 * resin.recoatFromH;
  switch (until) {
    case 'tacky':
      return { kind: 'film', from: Math.min(open, stillAt(resin, making)), until: bond };
    case 'recoat':
      return { kind: 'film', from: open, until: bond };
    case 'hard':
      return { kind: 'film', from: 60 * resin.fullCureH, until: bond, of: making.films.of(resin, true) };
  }
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
