import { advise, type Finding } from '#core/advice';
import type { Piece } from '#core/document';
import { joinsOf } from '#core/edit';
import type { PiecePlan } from '#core/plan';
import type { Writes } from '#core/units';

/** What is to be minded about a piece, with how its sea meets those of its neighbours. */
export const mindedOf = (plan: PiecePlan, write: Writes, pieces: Piece[]): Finding[] =>
  advise({ plan, write, joins: joinsOf(plan.piece, pieces) });
