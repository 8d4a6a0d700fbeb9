import type { Join } from '#core/edit';
import type { Airs } from '#core/cure';
import type { Room } from '#core/document';
import type { PiecePlan } from '#core/plan';
import type { Writes } from '#core/units';

export type Severity = 'stop' | 'warn' | 'note';

/** What a rule has to say about a plan: what is so, why it matters, and what to do. */
export interface Finding {
  code: string;
  severity: Severity;
  /** What it is about, so that it is shown beside it. */
  where: { pour?: number; coatId?: string; cup?: string };
  says: string;
  why: string;
  fix: string;
}

/** Where and when a piece is poured and cures: what is said of nights, damp and days needs it. */
export interface Around {
  airs: Airs;
  room: Room;
  /** When its next pour begins, or would if it began now; ms since 1970. */
  at: number;
  /** Now, ms since 1970. */
  now: number;
  /** The first pour that is still to come; undefined where all are poured. */
  next?: number;
  /** When what was poured last is fully hard, ms since 1970. */
  fullCure?: number;
}

/** What rules are told: the plan, and how the studio measures and writes. */
export interface Facts {
  plan: PiecePlan;
  write: Writes;
  /** How its curves meet those of its neighbours in a row. */
  joins?: Join[];
  /** Left out where only the plan is looked at. */
  around?: Around;
}

/** A pure function from the facts to what it finds, which may be nothing. */
export type Rule = (facts: Facts) => Finding[];
