import { edgeOf, type Method } from '#core/document';
import { dripsOf } from '#core/mix';
import type { Batch, CoatPlan, Cup, PiecePlan } from '#core/plan';

/** Where the mix of a batch ends up, ml: on the board, kept by vessels, dripped, or over. They add up to the batch. */
export interface Fate {
  laid: number;
  /** What cups and the mixing cup keep. */
  stays: number;
  drips: number;
  /** Spare, and what was held back for corrections. */
  over: number;
}

const shareOf = (c: Cup): number => {
  const { laid, runsOver, spare, heldBack, stays } = c.makeup;
  // sand takes its room in the cup: what is left is resin
  return c.ml / (laid + runsOver + spare + heldBack + stays);
};

/** What drips off the rim of a coat, ml, all like pieces together. */
function dripsOff({ coat, regions }: CoatPlan, { piece }: PiecePlan, method: Method): number {
  if (edgeOf(piece, coat) !== 'run over' || coat.kind === 'wave') return 0;
  const rim = [regions.beach, ...regions.sea].reduce((sum, r) => sum + r.rim, 0);
  return method.runOff === 'painted up' ? 0 : piece.count * dripsOf(rim, method);
}

/** @param coats of the pour the batch belongs to, each with the plan of its piece */
export function fateOf(batch: Batch, coats: { coat: CoatPlan; plan: PiecePlan }[], method: Method): Fate {
  const sum = (of: (c: Cup) => number): number => batch.cups.reduce((total, c) => total + of(c) * shareOf(c), 0);
  const over = sum((c) => c.makeup.spare + c.makeup.heldBack);
  const runs = sum((c) => c.makeup.runsOver);
  const drips = Math.min(
    runs,
    coats.reduce((total, { coat, plan }) => (coat.coat.resinId === batch.resin.id ? total + dripsOff(coat, plan, method) : total), 0),
  );
  const filled = batch.cups.reduce((total, c) => total + c.ml, 0);
  return { laid: sum((c) => c.makeup.laid) + runs - drips, stays: sum((c) => c.makeup.stays) + batch.ml - filled, drips, over };
}

/** What of a batch can still be used, and what is gone, ml. Drips count as used where they are caught. */
export const leftOver = ({ over, drips }: Fate, method: Method): number => over + (method.runOff === 'caught' ? drips : 0);
export const wasted = ({ stays, drips }: Fate, method: Method): number => stays + (method.runOff === 'caught' ? 0 : drips);
