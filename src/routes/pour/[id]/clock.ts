import type { ToldBatch } from '#core/document';

/** What the large clock counts, and to what; minutes. */
export interface ClockSays {
  title: string;
  left?: number;
  of: string;
}

/**
 * What the clock of a batch says at a minute after its mixing.
 * @param white whether its white is still to be laid
 */
export function clockSays(batch: ToldBatch | undefined, since: number | undefined, white: boolean): ClockSays {
  if (!batch || since === undefined) return { title: 'The clock starts when A and B meet', of: '' };
  const { lastMoves, heatUntil, whiteBest } = batch;
  if (white && !batch.white)
    return { title: 'No window for white at this temperature', left: Math.max(0, heatUntil - since), of: 'of working time' };
  if (white && batch.white) {
    const { from, until } = batch.white;
    if (since < from) return { title: 'White rests', left: from - since, of: 'until white is ready' };
    if (since < until) {
      const best = whiteBest && since >= whiteBest.from && since < whiteBest.until;
      return { title: best ? 'White is at its best' : 'White is in its window', left: until - since, of: 'left to pour it' };
    }
    return { title: 'White is past its window', left: Math.max(0, heatUntil - since), of: 'of working time' };
  }
  if (since < lastMoves.from) return { title: 'The film can be worked', left: lastMoves.from - since, of: 'until the last moves' };
  if (since < heatUntil) return { title: 'Last moves', left: heatUntil - since, of: 'then leave it' };
  return { title: 'Leave it', left: 0, of: 'working time is over' };
}
