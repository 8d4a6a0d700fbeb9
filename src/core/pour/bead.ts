import { steady } from '#core/air';
import { beadViscosity, type Bead } from '#core/cure';
import type { PourEvent, Resin } from '#core/document';
import { mixedDensity } from '#core/mix';
import { batchClock, type Means, type Planner } from '#core/plan';

/** A bead of clear mix on a tile: how far it ran, mm, at which minute after mixing, how warm the tile was, °C. */
export interface BeadCheck extends Bead {
  run: number;
  celsius: number;
  min: number;
}

/**
 * A resin as a bead shows it to be today: as thick when fresh as makes the bead run so far at its age. The bead is of clear
 * mix and as warm as its tile.
 */
export function beadChecked(resin: Resin, { min, run, celsius, ...bead }: BeadCheck, means: Means, planner: Planner): Resin {
  const measured = beadViscosity(bead, run, mixedDensity(resin));
  const { film } = batchClock(resin, [], { ...means, air: steady(celsius) }, planner);
  return { ...resin, viscosity: (resin.viscosity * measured) / film.thickness(min) };
}

/** The last bead check of a batch among events that hold, with its minute; undefined where there is none. @param mixedAt ms since 1970 */
export function lastBead(events: PourEvent[], batch: number, mixedAt: number): BeadCheck | undefined {
  const event = events.findLast((e) => e.kind === 'bead check' && e.batch === batch);
  if (event?.kind !== 'bead check') return undefined;
  const { area, angle, run, seconds, celsius, at } = event;
  return { area, angle, run, seconds, celsius, min: Math.max(0, (Date.parse(at) - mixedAt) / 60_000) };
}
