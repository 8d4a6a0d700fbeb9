import type { Piece, Pour, Room } from '#core/document';
import { groupCoats, planPiece, type Means } from '#core/plan';
import { curingOf, stretchesOf, type Curing, type Laid, type Stretch } from '#core/schedule';
import { readSession, type Session } from './session';

/** Where a piece stands: what was poured, what cures, what comes next. */
export interface Standing {
  piece: Piece;
  /** Its pours, oldest first. */
  sessions: Session[];
  /** The pour that is under way. */
  open?: Session;
  /** The last finished pour, and how it cures. */
  last?: { session: Session; curing: Curing };
  /** The first coats that have not been poured; undefined when all are. */
  next?: { coatIds: string[]; pour: number };
  stretches: Stretch[];
}

/** The slowest resin of a pour decides when it may be touched. */
function laidOf(session: Session, last: boolean, now: number): Laid | undefined {
  const { pour, plan, mixedAt, done } = session;
  const resin = plan.batches.map((b) => b.resin).sort((a, b) => b.recoatFromH - a.recoatFromH)[0];
  if (!resin) return undefined;
  const started = Date.parse(pour.startedAt);
  const { room, method } = pour.planned;
  return {
    mixed: Math.max(started, ...mixedAt.values()),
    started,
    done: done ?? Math.max(now, started),
    resin,
    room,
    method,
    last,
    planned: false,
  };
}

function plannedLaid(piece: Piece, pour: number, means: Means, room: Room, last: boolean): Laid | undefined {
  const plan = planPiece(piece, means).pours[pour];
  const resin = plan?.batches[0]?.resin;
  if (!piece.pourAt || !plan || !resin) return undefined;
  const started = Date.parse(piece.pourAt);
  return {
    mixed: started,
    started,
    done: started + 60_000 * (plan.steps.at(-1)?.at ?? 0),
    resin,
    room,
    method: means.method,
    last,
    planned: true,
  };
}

/**
 * Reads a piece's pours.
 * @param room   the room a planned pour would cure in
 * @param now    ms since 1970
 * @param offset local time ahead of UTC, min
 */
export function standingOf(piece: Piece, pours: Pour[], means: Means, room: Room, now: number, offset: number): Standing {
  const sessions = pours
    .filter((p) => p.pieceId === piece.id)
    .sort((a, b) => Date.parse(a.startedAt) - Date.parse(b.startedAt))
    .map((pour) => readSession(pour));
  const groups = groupCoats(piece.coats);
  const poured = new Set(sessions.flatMap((s) => s.pour.coatIds));
  const pour = groups.findIndex((group) => group.some((coat) => !poured.has(coat.id)));
  const next = pour < 0 ? undefined : { coatIds: groups[pour]!.map((c) => c.id), pour };

  const laid = sessions.flatMap((s, i) => laidOf(s, !next && i === sessions.length - 1, now) ?? []);
  const ahead = next && plannedLaid(piece, next.pour, means, room, next.pour === groups.length - 1);
  const open = sessions.find((s) => s.done === undefined);
  const finished = sessions.findLast((s) => s.done !== undefined);
  const finishedLaid = finished && laid[sessions.indexOf(finished)];
  return {
    piece,
    sessions,
    ...(open && { open }),
    ...(finished && finishedLaid && { last: { session: finished, curing: curingOf(finishedLaid, offset) } }),
    ...(next && { next }),
    stretches: stretchesOf(ahead ? [...laid, ahead] : laid, offset),
  };
}
