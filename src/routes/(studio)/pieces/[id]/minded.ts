import { advise, type Finding } from '#core/advice';
import type { Piece, Settings } from '#core/document';
import { joinsOf } from '#core/edit';
import type { PiecePlan } from '#core/plan';

/** What is to be minded about a piece, with how its sea meets those of its neighbours. */
export const mindedOf = (plan: PiecePlan, { measure }: Settings, pieces: Piece[]): Finding[] =>
  advise({ plan, measure, joins: joinsOf(plan.piece, pieces) });
