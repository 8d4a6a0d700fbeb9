import { aged } from '#core/cure';
import type { Method, Piece, Resin } from '#core/document';
import { allowances, blamed, CutError, Cutter, lent } from '#core/geometry';
import { Courses } from './courses';
import type { Means } from './means';
import { pieceAnew, type Kept, type PiecePlan } from './piece';
import { inOtherAir, together, type Chosen, type Together } from './together';

/** Resins whose ages are kept. */
const AGES = 100;

/**
 * Plans pieces and sessions, and keeps what may be kept between one plan and the next: a plan for as long as its piece and
 * its means are the same objects, cut curves and cups by what they are. What it gives is what one made anew would give;
 * whoever owns it decides how long that is kept.
 */
export class Planner {
  readonly #plans = new WeakMap<Piece, WeakMap<Means, PiecePlan>>();
  readonly #ages = new Map<string, Resin>();
  readonly #kept: Kept = { cutter: new Cutter(), courses: new Courses(), aged: (resin, method) => this.aged(resin, method) };

  /**
   * Plans a piece.
   * @throws RangeError where a coat names a resin that is not among the means
   * @throws CutError   where its curves are too tangled to be cut
   */
  plan(piece: Piece, means: Means): PiecePlan {
    let byMeans = this.#plans.get(piece);
    if (!byMeans) this.#plans.set(piece, (byMeans = new WeakMap()));
    const kept = byMeans.get(means);
    if (kept) return kept;
    try {
      const plan = lent(allowances.plan, () => pieceAnew(piece, means, this.#kept));
      byMeans.set(means, plan);
      return plan;
    } catch (error) {
      throw blamed(error, piece.sea);
    }
  }

  /** Plans a piece where that can be done; lists go on without one that names a resin that is gone, or cannot be cut. */
  planIfAble(piece: Piece, means: Means): PiecePlan | undefined {
    if (piece.coats.some((coat) => !means.resins.some((resin) => resin.id === coat.resinId))) return undefined;
    try {
      return this.plan(piece, means);
    } catch (error) {
      if (error instanceof CutError) return undefined;
      throw error;
    }
  }

  /** Pours of several pieces in one session. */
  together(chosen: Chosen[], means: Means): Together {
    return together(chosen, means, this.#kept);
  }

  /** A session as it is, with its clocks run in the air of other means. */
  inOtherAir(session: Together, means: Means): Together {
    return inOtherAir(session, means, this.#kept);
  }

  /** How cups age, each worked out once. */
  get courses(): Courses {
    return this.#kept.courses;
  }

  /** A resin with its working and gel time as ages of a film. */
  aged(resin: Resin, { activationEa }: Pick<Method, 'activationEa'>): Resin {
    const key = JSON.stringify([resin, activationEa]);
    let ages = this.#ages.get(key);
    if (!ages) {
      if (this.#ages.size >= AGES) this.#ages.clear();
      this.#ages.set(key, (ages = aged(resin, activationEa)));
    }
    return ages;
  }
}

/** Plans one piece, and keeps nothing. @throws as a planner does */
export const planPiece = (piece: Piece, means: Means): PiecePlan => new Planner().plan(piece, means);
