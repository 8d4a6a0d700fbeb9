import { steady } from '#core/air';
import type { PiecePlan, Planner } from '#core/plan';
import type { Session } from '#core/record';

/** The pieces of a pour as they were planned for it: from the copy it keeps, never from what they are now. */
export function plansOf({ session, planner }: { session: Session; planner: Planner }): PiecePlan[] {
  const { pieces, resins, colourants, method } = session.pour.planned;
  const means = { resins, colourants, method, air: steady(session.pour.roomC) };
  return pieces.flatMap((piece) => planner.planIfAble(piece, means) ?? []);
}
