import type { Bead } from '#core/cure';
import type { PourEvent } from '#core/document';

/** A bead of clear mix on a tile: how far it ran, mm, at which minute after mixing, how warm the tile was, °C. */
export interface BeadCheck extends Bead {
  run: number;
  celsius: number;
  min: number;
}

/** The last bead check of a batch among events that hold, with its minute; undefined where there is none. @param mixedAt ms since 1970 */
export function lastBead(events: PourEvent[], batch: number, mixedAt: number): BeadCheck | undefined {
  const event = events.findLast((e) => e.kind === 'bead check' && e.batch === batch);
  if (event?.kind !== 'bead check') return undefined;
  const { area, angle, run, seconds, celsius, at } = event;
  return { area, angle, run, seconds, celsius, min: Math.max(0, (Date.parse(at) - mixedAt) / 60_000) };
}
