import type { Resin } from '#core/document';
import { steady } from '#core/air';
import { mixedDensity } from '#core/mix';
import { cupAge, cupCourse, cupSurface } from './cup';

/** Mix that a data sheet's times are for where it does not say, g. */
export const STATED_MASS = 100;

/** Nearer than this share of the stated time is near enough. */
const NEAR = 0.001;

type Stated = Pick<Resin, 'workingMin' | 'gelMin'>;
/**
 * Ages from times stated for a mass in a cup: first the gel age at which that cup, warming itself, gels at the stated
 * minute; then the age that cup has when it can be worked no longer. A cup warms itself, so both are longer than stated:
 * 100 g that gels in 240 min at 23 °C has a gel age near 455.
 * @param ea activation energy, kJ/mol
 */
function agesOf(resin: Resin, grams: number, ea: number): Stated {
  const surface = cupSurface(grams / mixedDensity(resin));
  const air = steady(resin.refC);
  const course = (gelAge: number) => cupCourse(grams, surface, air, gelAge, resin.refC, ea);
  let [low, high] = [resin.gelMin, 2 * resin.gelMin];
  while (course(high).gelMin < resin.gelMin) [low, high] = [high, 2 * high];
  while (high - low > NEAR * low) {
    const middle = (low + high) / 2;
    if (course(middle).gelMin < resin.gelMin) low = middle;
    else high = middle;
  }
  const gelMin = (low + high) / 2;
  return { gelMin, workingMin: Math.min(gelMin, cupAge(course(gelMin), resin.workingMin)) };
}

/**
 * A resin with its working and gel time as ages of a film, whatever mass its data sheet states them for. One whose times
 * are those of a film already is given back as it is. It takes some milliseconds: whoever asks again keeps what it gave.
 * @param ea activation energy, kJ/mol
 */
export function aged(resin: Resin, ea: number): Resin {
  const grams = resin.statedG ?? STATED_MASS;
  if (grams === 0) return resin;
  return { ...resin, ...agesOf(resin, grams, ea), statedG: 0 };
}
