import { lastBead, benchClockOf } from '#core/pour';
import type { BatchClock } from '#core/plan';
import type { Session } from '#core/record';
import { planner } from '$lib/planner';

/**
 * The clock of a batch that is poured, in the air that was read since and as thick as a bead showed it. It brings the planner
 * with it, and is fetched by itself.
 */
export function clockOf({ pour, told, events, mixedAt }: Session, number: number): BatchClock | undefined {
  const mixed = mixedAt.get(number);
  return benchClockOf(pour, told, number, planner, mixed === undefined ? {} : { bead: lastBead(events, number, mixed) });
}
