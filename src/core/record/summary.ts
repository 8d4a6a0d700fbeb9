import type { Method, Pour, Resin, Room, Told } from '#core/document';
import { timesOf, toldOf } from './times';

/** A pour by what it did when, without what it was planned from and told: all that lists and curing ask for. */
export interface PourSummary extends Pick<Pour, 'id' | 'of' | 'verdict' | 'note'> {
  /** Names of its pieces, and of the coats it lays. */
  pieces: string[];
  coats: string[];
  /** Moments in ms since 1970: begun, A and B of its last batch met, ended, given up. */
  started: number;
  mixed: number;
  done?: number;
  abandoned?: { at: number; why: string };
  /** What decides when it may be touched: the slowest of its resins, in its room. Undefined where it names none that is known. */
  cures?: { resin: Resin; room: Room; method: Pick<Method, 'activationEa'> };
}

/** Coats of a piece that a pour lays. */
export const coatsOf = ({ of }: Pick<Pour, 'of'>, pieceId: string): string[] => of.find((o) => o.pieceId === pieceId)?.coatIds ?? [];

/** The resin of a pour that is open for the next coat last. */
function slowestOf({ of, planned: { pieces, resins } }: Pick<Pour, 'of' | 'planned'>): Resin | undefined {
  const used = new Set(
    of.flatMap(({ pieceId, coatIds }) =>
      (pieces.find((p) => p.id === pieceId)?.coats ?? []).filter((coat) => coatIds.includes(coat.id)).map((coat) => coat.resinId),
    ),
  );
  return resins.filter((r) => used.has(r.id)).sort((a, b) => b.recoatFromH - a.recoatFromH)[0];
}

/** Coats that a pour was told first and is not any more: they were put off at the bench. */
export function putOff(pour: Pick<Pour, 'told' | 'events'>): Told['coats'] {
  const last = toldOf(pour).coats;
  return (pour.told?.coats ?? []).filter((c) => !last.some((l) => l.piece === c.piece && l.coat === c.coat));
}

/** Coats a pour lays: what was put off is not among them. */
function laidOf(pour: Pour): Pour['of'] {
  const off = putOff(pour);
  if (!off.length) return pour.of;
  return pour.of.flatMap(({ pieceId, coatIds }) => {
    const laid = coatIds.filter((id) => !off.some((c) => c.piece === pieceId && c.coat === id));
    return laid.length ? [{ pieceId, coatIds: laid }] : [];
  });
}

/** What of a pour is listed. */
export function summaryOf(pour: Pour): PourSummary {
  const { id, verdict, note, planned } = pour;
  const { started, mixedAt, done, abandoned } = timesOf(pour);
  const told = toldOf(pour);
  const of = laidOf(pour);
  const resin = slowestOf(pour);
  return {
    id,
    of,
    ...(verdict && { verdict }),
    ...(note !== undefined && { note }),
    pieces: planned.pieces.map((p) => p.name),
    coats: told.coats.map((c) => c.name),
    started,
    mixed: Math.max(started, ...mixedAt.values()),
    ...(done !== undefined && { done }),
    ...(abandoned && { abandoned }),
    ...(resin && { cures: { resin, room: planned.room, method: { activationEa: planned.method.activationEa } } }),
  };
}
