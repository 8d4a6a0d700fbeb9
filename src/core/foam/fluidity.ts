import type { Physical } from './physical';

const ZERO = 273.15;
const GAS = 8.314462618e-3;
const [COLDEST, HOTTEST, STEP] = [-40, 1200, 0.1];

/** Arrhenius: how much faster than at `refC` something goes, by its activation energy, kJ/mol. */
export const rateAt = (celsius: number, refC: number, ea: number): number =>
  Math.exp((-ea / GAS) * (1 / (celsius + ZERO) - 1 / (refC + ZERO)));

/** A function of temperature read from a table, by tenths of a kelvin. */
export interface ByTemperature {
  readonly values: Float64Array;
}
export function tabled(of: (celsius: number) => number): ByTemperature {
  const values = new Float64Array(Math.round((HOTTEST - COLDEST) / STEP) + 2);
  for (let i = 0; i < values.length; i++) values[i] = of(COLDEST + i * STEP);
  return { values };
}
export function at({ values }: ByTemperature, celsius: number): number {
  const x = Math.min(Math.max((celsius - COLDEST) / STEP, 0), values.length - 2);
  const i = x | 0;
  return values[i]! + (values[i + 1]! - values[i]!) * (x - i);
}

/** Fluidity of the film as freshly mixed, 1/(Pa·s), by its temperature (Arrhenius). */
export const fluidity = (p: Physical): ByTemperature => tabled((c) => rateAt(c, p.refC, p.flowEa) / p.muRef);
/** How fast it ages beside `refC`. */
export const ageing = (p: Physical): ByTemperature => tabled((c) => rateAt(c, p.refC, p.cureEa));
