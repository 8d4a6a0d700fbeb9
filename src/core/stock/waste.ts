import type { Method } from '#core/document';
import type { Batch } from '#core/plan';
import type { Cup } from '#core/coat';

/** Where the mix of a batch ends up, ml: on the board, kept by vessels, dripped, or over. They add up to the batch. */
export interface MixBalance {
  laid: number;
  /** What cups and the mixing cup keep. */
  stays: number;
  drips: number;
  /** Spare, what was held back for corrections, and what is over because no cup is filled with less. */
  over: number;
}

const shareOf = (c: Cup): number => {
  const { laid, runsOver, spare, heldBack, surplus, stays } = c.makeup;
  // sand takes its room in the cup: what is left is resin
  return c.ml / (laid + runsOver + spare + heldBack + surplus + stays);
};

/** Where the mix of a batch ends up. */
export function balanceOf(batch: Batch): MixBalance {
  const sum = (of: (c: Cup) => number): number => batch.cups.reduce((total, c) => total + of(c) * shareOf(c), 0);
  const drips = sum((c) => c.made.need.drips);
  const filled = batch.cups.reduce((total, c) => total + c.ml, 0);
  return {
    laid: sum((c) => c.makeup.laid + c.makeup.runsOver) - drips,
    stays: sum((c) => c.makeup.stays) + batch.ml - filled,
    drips,
    over: sum((c) => c.makeup.spare + c.makeup.heldBack + c.makeup.surplus),
  };
}

/** What of a batch can still be used, and what is gone, ml. Drips count as used where they are caught. */
export const leftOver = ({ over, drips }: MixBalance, method: Method): number => over + (method.runOff === 'caught' ? drips : 0);
/** ml; drips are gone where they are not caught. */
export const wasted = ({ stays, drips }: MixBalance, method: Method): number => stays + (method.runOff === 'caught' ? 0 : drips);
