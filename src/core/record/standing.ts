import type { Airs } from '#core/cure';
import { groupCoats } from '#core/coat';
import type { Coat, Piece, Room } from '#core/document';
import type { Means } from '#core/plan';
import { curingOf, stretchesOf, type Curing, type Lying, type Stretch } from '#core/schedule';
import { coatsOf, type PourSummary } from './summary';

/** Where a piece stands: what was poured, what cures, what comes next. Read without planning its pours again. */
export interface Standing {
  piece: Piece;
  /** Oldest first; those that were given up are left out. */
  pours: PourSummary[];
  /** The pour that is under way. */
  open?: PourSummary;
  /** Coats lay on it before it was taken up here. */
  begun: boolean;
  /** How the last finished pour cures, or what lay already where its day is known. */
  curing?: Curing;
  /** The first coats that have not been poured; undefined when all are. */
  next?: { coatIds: string[]; pour: number };
  /** What lies on it, oldest first, and as stretches of its days. */
  lying: Lying[];
  stretches: Stretch[];
}

/** What standings are read with: the resins there are, and the room that what lay before cures in. */
export interface Surroundings {
  airs: Airs;
  means: Pick<Means, 'resins' | 'method'>;
  room: Room;
}

/** A pour as it lies. */
const lyingOf = ({ started, mixed, done, cures }: PourSummary, curing: Curing, last: boolean, now: number): Lying[] =>
  cures ? [{ started, mixed, done: done ?? Math.max(now, started), curing, last, planned: false }] : [];

/** Pours that lay on a piece before it was taken up here and whose day is known, as they lie: at noon, by their slowest resin. */
const lyingBefore = (groups: Coat[][], { airs, means, room }: Surroundings, last: boolean): Lying[] =>
  groups.flatMap((group, i): Lying[] => {
    const on = group
      .flatMap((coat) => coat.lies?.on ?? [])
      .sort()
      .at(-1);
    const resin = means.resins.filter((r) => group.some((c) => c.resinId === r.id)).sort((a, b) => b.recoatFromH - a.recoatFromH)[0];
    if (on === undefined || !resin) return [];
    const mixed = airs.zone.momentOf(`${on}T12:00`);
    const curing = curingOf({ mixed, resin, room, method: means.method }, airs);
    return [{ started: mixed, mixed, done: mixed, curing, last: last && i === groups.length - 1, planned: false }];
  });

/**
 * Where a piece stands by its pours.
 * @param pours  all that lay coats of it, in any order
 * @param curing how a pour cures; undefined of one that cannot be told
 * @param now    ms since 1970; only a pour under way hangs on it
 */
export function standingOf(
  piece: Piece,
  pours: PourSummary[],
  around: Surroundings,
  now: number,
  curing: (pour: PourSummary) => Curing | undefined = (pour) => curingOfPour(pour, around.airs),
): Standing {
  // what was given up leaves the piece as it was
  const own = pours.filter((p) => !p.abandoned && coatsOf(p, piece.id).length > 0).sort((a, b) => a.started - b.started);
  const groups = groupCoats(piece.coats);
  const before = piece.coats.filter((coat) => coat.lies);
  const poured = new Set([...before.map((coat) => coat.id), ...own.flatMap((p) => coatsOf(p, piece.id))]);
  const pour = groups.findIndex((group) => group.some((coat) => !poured.has(coat.id)));
  const next = pour < 0 ? undefined : { coatIds: groups[pour]!.map((c) => c.id), pour };

  const lying = own.flatMap((p, i) => {
    const cures = curing(p);
    return cures ? lyingOf(p, cures, !next && i === own.length - 1, now) : [];
  });
  const open = own.find((p) => p.done === undefined);
  const finished = own.findLast((p) => p.done !== undefined);
  const lay = lyingBefore(
    groups.filter((group) => group.some((coat) => coat.lies)),
    around,
    !next && !own.length,
  );
  const cures = finished ? curing(finished) : lay.at(-1)?.curing;
  return {
    piece,
    pours: own,
    begun: before.length > 0,
    ...(open && { open }),
    ...(cures && { curing: cures }),
    ...(next && { next }),
    lying: [...lay, ...lying],
    stretches: stretchesOf([...lay, ...lying]),
  };
}

/** How a pour cures; undefined where nothing is known of its resin. */
export const curingOfPour = ({ mixed, cures }: PourSummary, airs: Airs): Curing | undefined => cures && curingOf({ mixed, ...cures }, airs);
