import type { Join } from '#core/edit';
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

/** What rules are told: the plan, and how the studio measures and writes. */
export interface Facts {
  plan: PiecePlan;
  write: Writes;
  /** How its curves meet those of its neighbours in a row. */
  joins?: Join[];
}

/** A pure function from the facts to what it finds, which may be nothing. */
export type Rule = (facts: Facts) => Finding[];
