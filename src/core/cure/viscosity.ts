import type { Method, Resin } from '#core/document';
import type { Air } from '#core/air';
import { fluidity, rate } from './rate';

/** Closest packing of the solids in a mix, and the exponent of the law below. */
const PACKED = 0.63;
const EXPONENT = -1.575;

/** How much thicker solids of volume share φ make a mix (Krieger and Dougherty 1959); from 0.63 on it does not flow at all. */
export const thickenedBy = (phi: number): number => (phi < PACKED ? (1 - phi / PACKED) ** EXPONENT : Infinity);

/** Growth of ln μ for each equivalent minute: k = ln F / working age. */
export const thickeningRate = (resin: Pick<Resin, 'workingMin'>, method: Pick<Method, 'thickening'>): number =>
  Math.log(method.thickening) / resin.workingMin;

/**
 * Thickness of the mix, Pa·s (Roller 1975): valid to about the working age.
 * 0.9 Pa·s at 23 °C, working 45: 1.8000 at age 15.
 * @param celsius    temperature of the mix as it flows
 * @param ageMin     equivalent minutes since A and B met
 * @param multiplier of solids, 1 for clear
 */
export function viscosity(resin: Resin, method: Method, celsius: number, ageMin: number, multiplier = 1): number {
  return (
    (multiplier * resin.viscosity * Math.exp(thickeningRate(resin, method) * ageMin)) / fluidity(celsius, resin.refC, method.activationEmu)
  );
}

/** The equivalent age at which the mix reaches a thickness, min; below zero where it starts thicker. */
export function ageOfViscosity(resin: Resin, method: Method, celsius: number, wanted: number, multiplier = 1): number {
  return Math.log(wanted / viscosity(resin, method, celsius, 0, multiplier)) / thickeningRate(resin, method);
}

/** Parts of a time constant that are looked at while a mix sets, and after how many of them it has. */
const [PART, SETS] = [0.25, 12];

/**
 * How much a film still flows until it has set, s/(Pa·s): τ = ∫dt/μ from an age on. Steady air gives 1/(μ·k).
 * @param fromMin  clock minute after A and B met from which it lies
 * @param ageMin   its equivalent age by then
 * @param untilMin clock minute to which it is asked for
 */
export function flowing(
  resin: Resin,
  method: Method,
  air: Air,
  { fromMin, ageMin, untilMin = Infinity }: { fromMin: number; ageMin: number; untilMin?: number },
  multiplier = 1,
): number {
  const k = thickeningRate(resin, method);
  let [min, age, sum] = [fromMin, ageMin, 0];
  const h = PART / k;
  // in steps of age, since it sets by its age: 1/μ falls by e in 1/k of it
  for (let i = 0; i < SETS / PART && min < untilMin; i++) {
    const own = rate(air(min), resin.refC, method.activationEa);
    const step = Math.min(h, (untilMin - min) * own);
    const middle = rate(air(min + step / own / 2), resin.refC, method.activationEa);
    const dt = step / middle;
    /** Over a step the thickness grows by e^(k·age) and no more: its mean is known. */
    const mu = viscosity(resin, method, air(min + dt / 2), age, multiplier);
    sum += (60 * dt * (1 - Math.exp(-k * step))) / (k * step) / mu;
    min += dt;
    age += step;
  }
  return sum;
}
