import type { Piece, Pour, Room } from '#core/document';
import { groupCoats } from '#core/coat';
import { planIfAble, type Means } from '#core/plan';
import { hoursBefore } from '#core/prepare';
import { curingOf, stretchesOf, type Curing, type Laid, type Stretch } from '#core/schedule';
import { timesOf, type Times } from './times';

/** A pour of a piece, and when it did what. */
export interface Poured extends Times {
  pour: Pour;
}

/** Where a piece stands: what was poured, what cures, what comes next. Read without planning its pours again. */
export interface Standing {
  piece: Piece;
  /** Oldest first. */
  pours: Poured[];
  /** The pour that is under way. */
  open?: Poured;
  /** How the last finished pour cures. */
  curing?: Curing;
  /** The first coats that have not been poured; undefined when all are. */
  next?: { coatIds: string[]; pour: number };
  stretches: Stretch[];
}

/** Coats of a piece that a pour lays. */
export const coatsOf = ({ of }: Pick<Pour, 'of'>, pieceId: string): string[] => of.find((o) => o.pieceId === pieceId)?.coatIds ?? [];

/** A pour as it lies; the slowest of its resins decides when it may be touched. */
function laidOf({ pour, started, mixedAt, done }: Poured, last: boolean, now: number): Laid | undefined {
  const { pieces, resins, room, method } = pour.planned;
  const used = new Set(
    pour.of.flatMap(({ pieceId, coatIds }) =>
      (pieces.find((p) => p.id === pieceId)?.coats ?? []).filter((coat) => coatIds.includes(coat.id)).map((coat) => coat.resinId),
    ),
  );
  const resin = resins.filter((r) => used.has(r.id)).sort((a, b) => b.recoatFromH - a.recoatFromH)[0];
  if (!resin) return undefined;
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
  const plan = planIfAble(piece, means)?.pours[pour];
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
  const own = pours
    .filter((p) => coatsOf(p, piece.id).length > 0)
    .map((pour): Poured => ({ pour, ...timesOf(pour) }))
    // what was given up leaves the piece as it was
    .filter((p) => !p.abandoned)
    .sort((a, b) => a.started - b.started);
  const groups = groupCoats(piece.coats);
  const poured = new Set(own.flatMap((p) => coatsOf(p.pour, piece.id)));
  const pour = groups.findIndex((group) => group.some((coat) => !poured.has(coat.id)));
  const next = pour < 0 ? undefined : { coatIds: groups[pour]!.map((c) => c.id), pour };

  const laid = own.flatMap((p, i) => laidOf(p, !next && i === own.length - 1, now) ?? []);
  const ahead = next && plannedLaid(piece, next.pour, means, room, next.pour === groups.length - 1);
  // a board that has not been poured is got ready first, so that its last primer is dry when the pour begins
  const ready =
    ahead && !own.length
      ? {
          doing: 'prepare' as const,
          from: ahead.started - 3_600_000 * hoursBefore(piece, means.method),
          until: ahead.started,
          planned: true,
        }
      : undefined;
  const open = own.find((p) => p.done === undefined);
  const finished = own.findLast((p) => p.done !== undefined);
  const lying = finished && laidOf(finished, false, now);
  return {
    piece,
    pours: own,
    ...(open && { open }),
    ...(lying && { curing: curingOf(lying, offset) }),
    ...(next && { next }),
    stretches: [...(ready ? [ready] : []), ...stretchesOf(ahead ? [...laid, ahead] : laid, offset)],
  };
}
