import { benchAir, benchClockOf, lastBead } from '#core/pour';
import type { ToldBatch } from '#core/document';
import type { BatchClock } from '#core/plan';
import type { Session } from '#core/record';
import { planner } from '$lib/planner';
import { airs } from '$lib/ui/airs.svelte';
import { thermometer } from '$lib/ui/thermometer.svelte';

/** A batch's clock as it runs, with what was told of it put right by what was measured since. */
export interface Running {
  clock: BatchClock;
  batch: ToldBatch;
  /** What was measured: the air of the room, how thick the mix is. */
  air: boolean;
  bead: boolean;
}

/**
 * The clock of a batch that is poured, in the air that was read since and as thick as a bead showed it. It brings the planner
 * with it, and is fetched by itself.
 * @param now ms since 1970
 */
export function runningOf({ pour, told, events, mixedAt, started }: Session, number: number, now: number): Running | undefined {
  const mixed = mixedAt.get(number);
  const bead = mixed === undefined ? undefined : lastBead(events, number, mixed);
  const climate = airs.current?.of(pour.planned.room);
  const air = mixed !== undefined && climate ? benchAir(climate, pour.roomC, started, mixed, now) : undefined;
  const clock = benchClockOf(pour, told, number, planner, { bead, ...(air && { air }) });
  const batch = told.batches[number];
  if (!clock || !batch) return undefined;
  if (!bead && !air) return { clock, batch, air: false, bead: false };
  const { white, whiteBest, lastMoves, heatUntil } = clock.windows;
  const { white: _, whiteBest: __, ...rest } = batch;
  const open = white && whiteBest && white.until > white.from ? { white, whiteBest } : {};
  return { clock, batch: { ...rest, ...open, lastMoves, heatUntil }, air: air !== undefined, bead: bead !== undefined };
}

/** Goes on reading the thermometer that was read before the bench was opened anew. */
export const readOn = (): void => thermometer.resume();
