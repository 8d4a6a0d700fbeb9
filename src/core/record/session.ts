import type { Pour, PourEvent, Resin } from '#core/document';
import { planPiece, type PourPlan, type Step } from '#core/plan';
import { momentOf, timesOf, type Times } from './times';

/** A pour's events read beside the plan it was started from. */
export interface Session extends Times {
  pour: Pour;
  plan: PourPlan;
  /** When each step of the plan was done, by its key; ms since 1970. */
  doneAt: Map<string, number>;
  /** The first step not done yet; undefined when the pour is over. */
  current?: Step;
}

/** The plan a pour was started from, from the inputs it kept. */
export function planOfPour(pour: Pour): PourPlan {
  const { piece, resins, colourants, method } = pour.planned;
  const plan = planPiece(piece, { resins, colourants, method, roomC: pour.roomC });
  const found = plan.pours.find((p) => p.coats.some((c) => c.coat.id === pour.coatIds[0]));
  if (!found) throw new RangeError(`the pour of ${piece.name} names a coat its piece does not have`);
  return found;
}

/** The step an event completes, if it is one of the plan's. A heat pass counts once the white is laid. */
function stepOf(event: PourEvent, steps: Step[], doneAt: Map<string, number>): Step | undefined {
  switch (event.kind) {
    case 'mixed':
      return steps.find((s) => s.kind === 'mix' && s.batch === event.batch);
    case 'poured':
      return steps.find((s) => s.key === event.cup);
    case 'white laid':
      return steps.find((s) => s.kind === 'white' && s.key === event.coatId);
    case 'heat pass': {
      const white = steps.findLast((s) => s.kind === 'white' && doneAt.has(s.key));
      return white && steps.find((s) => s.kind === 'heat' && s.key.startsWith(`${white.key}/`) && !doneAt.has(s.key));
    }
    case 'done':
      return steps.find((s) => s.kind === 'done');
    default:
      return undefined;
  }
}

export function readSession(pour: Pour, plan = planOfPour(pour)): Session {
  const times = timesOf(pour);
  const doneAt = new Map<string, number>();
  for (const event of times.events) {
    const step = stepOf(event, plan.steps, doneAt);
    if (step && !doneAt.has(step.key)) doneAt.set(step.key, momentOf(event));
  }
  const current = times.done === undefined ? plan.steps.find((s) => !doneAt.has(s.key)) : undefined;
  return { ...times, pour, plan, doneAt, ...(current && { current }) };
}

/** One line of planned beside done; minutes after the pour's first meeting of A and B. */
export interface Compared {
  step: Step;
  planned: number;
  done?: number;
}

export function plannedBesideDone(session: Session): Compared[] {
  const zero = Math.min(...session.mixedAt.values());
  return session.plan.steps.map((step) => {
    const at = session.doneAt.get(step.key);
    return { step, planned: step.at, ...(at !== undefined && { done: (at - zero) / 60_000 }) };
  });
}

/** Weights that were typed at the scale beside those planned, batch by batch. */
export function weighed(session: Session): { resin: Resin; batch: number; aG: number; bG: number }[] {
  return session.events.flatMap((e) => {
    const batch = e.kind === 'mixed' ? session.plan.batches[e.batch] : undefined;
    return e.kind === 'mixed' && batch && e.aG !== undefined && e.bG !== undefined
      ? [{ resin: batch.resin, batch: e.batch, aG: e.aG, bG: e.bG }]
      : [];
  });
}
