import { steady } from '#core/air';
import { beadViscosity } from '#core/cure';
import type { Resin } from '#core/document';
import { mixedDensity } from '#core/mix';
import { batchClock, type Means, type Planner } from '#core/plan';
import type { BeadCheck } from './last-bead';

/**
 * A resin as a bead shows it to be today: as thick when fresh as makes the bead run so far at its age. The bead is of clear
 * mix and as warm as its tile.
 */
export function beadChecked(resin: Resin, { min, run, celsius, ...bead }: BeadCheck, means: Means, planner: Planner): Resin {
  const measured = beadViscosity(bead, run, mixedDensity(resin));
  const { film } = batchClock(resin, [], { ...means, air: steady(celsius) }, planner);
  return { ...resin, viscosity: (resin.viscosity * measured) / film.thickness(min) };
}
