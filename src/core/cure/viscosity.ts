import type { Method, Resin } from '#core/document';
import { fluidity } from './rate';

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
