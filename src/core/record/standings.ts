import type { Airs } from '#core/cure';
import type { Piece } from '#core/document';
import type { Curing } from '#core/schedule';
import { curingOfPour, standingOf, type Standing, type Surroundings } from './standing';
import type { PourSummary } from './summary';

/** A standing with what it was read from. */
interface Read extends Surroundings {
  pours: readonly PourSummary[];
  standing: Standing;
}

const NONE: readonly PourSummary[] = [];
const alike = (a: readonly PourSummary[], b: readonly PourSummary[]): boolean => a.length === b.length && a.every((p, i) => p === b[i]);

/** Pours by the pieces they lay coats of. */
function byPiece(pours: PourSummary[]): Map<string, PourSummary[]> {
  const of = new Map<string, PourSummary[]>();
  for (const pour of pours)
    for (const { pieceId } of pour.of) {
      const own = of.get(pieceId);
      if (own) own.push(pour);
      else of.set(pieceId, [pour]);
    }
  return of;
}

/**
 * Where all pieces stand. A standing is read again only when its piece, its pours or what it is read with are other objects,
 * or while it is being poured; how a pour cures is worked out once.
 */
export class Standings {
  readonly #read = new WeakMap<Piece, Read>();
  readonly #curings = new WeakMap<PourSummary, { airs: Airs; curing: Curing | undefined }>();
  #grouped?: { pours: PourSummary[]; of: Map<string, PourSummary[]> };

  /** @param now ms since 1970 */
  of(pieces: Piece[], pours: PourSummary[], around: Surroundings, now: number): Standing[] {
    if (this.#grouped?.pours !== pours) this.#grouped = { pours, of: byPiece(pours) };
    const { of } = this.#grouped;
    return pieces.map((piece) => this.#of(piece, of.get(piece.id) ?? NONE, around, now));
  }

  #of(piece: Piece, pours: readonly PourSummary[], around: Surroundings, now: number): Standing {
    const kept = this.#read.get(piece);
    const same = kept && !kept.standing.open && kept.means === around.means && kept.room === around.room && kept.airs === around.airs;
    if (same && alike(kept.pours, pours)) return kept.standing;
    const standing = standingOf(piece, [...pours], around, now, (pour) => this.#curing(pour, around));
    this.#read.set(piece, { ...around, pours, standing });
    return standing;
  }

  #curing(pour: PourSummary, { airs }: Surroundings): Curing | undefined {
    let kept = this.#curings.get(pour);
    if (kept?.airs !== airs) this.#curings.set(pour, (kept = { airs, curing: curingOfPour(pour, airs) }));
    return kept.curing;
  }
}
