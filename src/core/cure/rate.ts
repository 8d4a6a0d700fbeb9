import type { Air } from '#core/air';

/** Molar gas constant, J/(mol·K). */
export const R = 8.314462618;
/** °C to K. */
export const kelvin = (celsius: number): number => celsius + 273.15;

/** Arrhenius factor of an activation energy between two temperatures. */
const arrhenius = (kJPerMol: number, celsius: number, refC: number): number =>
  Math.exp(-((kJPerMol * 1000) / R) * (1 / kelvin(celsius) - 1 / kelvin(refC)));

/**
 * How fast a resin ages beside its data sheet's temperature (Freiesleben Hansen and Pedersen 1977; ASTM C1074).
 * Valid where one reaction drives the cure, about 5 to 60 °C. 15 °C against 23: 0.5379.
 * @param ea activation energy, kJ/mol
 */
export const rate = (celsius: number, refC: number, ea: number): number => arrhenius(ea, celsius, refC);

/** How much thinner the mix flows for being warmer than `refC`, at the same age: 1 / exp((Eμ/R)(1/T − 1/T_ref)). */
export const fluidity = (celsius: number, refC: number, eMu: number): number => arrhenius(eMu, celsius, refC);

/** A temperature read at a clock minute; between readings it runs straight. */
export interface AirReading {
  min: number;
  celsius: number;
}

/** Simpson's rule over a stretch where the temperature runs straight; the rate is integrated, not taken of the mean. */
function stretchAge(from: AirReading, until: AirReading, refC: number, ea: number): number {
  const span = until.min - from.min;
  const n = Math.max(2, 2 * Math.ceil(Math.abs(until.celsius - from.celsius)));
  let sum = 0;
  for (let i = 0; i <= n; i++) {
    const weight = i === 0 || i === n ? 1 : i % 2 ? 4 : 2;
    sum += weight * rate(from.celsius + ((until.celsius - from.celsius) * i) / n, refC, ea);
  }
  return (sum * span) / (3 * n);
}

/**
 * Equivalent age, min at `refC`, gathered over temperature readings.
 * @param readings in order of time, from the minute A and B meet
 */
export function age(readings: AirReading[], refC: number, ea: number): number {
  return readings.slice(1).reduce((sum, to, i) => sum + stretchAge(readings[i]!, to, refC, ea), 0);
}

/** Air is looked at for so long, min; what has not come by then is not waited for. */
export const LONGEST_WAIT = 60 * 1440;

/** Minutes after which a stretch reaches an age it holds, by Newton's steps: the rate is the slope of the age. */
function withinStretch(from: AirReading, until: AirReading, wanted: number, more: number, refC: number, ea: number): number {
  const span = until.min - from.min;
  let min = (span * wanted) / more;
  for (let k = 0; k < 4; k++) {
    const celsius = from.celsius + ((until.celsius - from.celsius) * min) / span;
    const off = stretchAge(from, { min: from.min + min, celsius }, refC, ea) - wanted;
    min = Math.min(span, Math.max(0, min - off / rate(celsius, refC, ea)));
    if (Math.abs(off) < 1e-9 * wanted) break;
  }
  return from.min + min;
}

/**
 * How a film ages in some air: gives the clock minute at which it reaches an age. The air is gone through once, however
 * many ages are asked for.
 * @param air     of a stretch of `stepMin` the temperature at both ends is taken, and runs straight between them
 * @param floorC  colder than this it gathers none
 * @returns minutes after the start of an equivalent age, min at refC; after 60 days it ages on as it last did, and does not
 *          come to what it no longer ages toward
 */
export function filmAgeing(air: Air, refC: number, ea: number, stepMin = 60, floorC = -Infinity): (age: number) => number {
  if (air.steady !== undefined) {
    const speed = air.steady < floorC ? 0 : rate(air.steady, refC, ea);
    return (wanted) => (wanted <= 0 ? 0 : wanted / speed);
  }
  const readings: AirReading[] = [{ min: 0, celsius: air(0) }];
  const gathers = (from: AirReading, until: AirReading): number =>
    Math.min(from.celsius, until.celsius) < floorC ? 0 : stretchAge(from, until, refC, ea);
  /** Age at each reading. */
  const ages = [0];
  return (wanted) => {
    if (wanted <= 0) return 0;
    while (ages.at(-1)! < wanted && readings.at(-1)!.min < LONGEST_WAIT) {
      const from = readings.at(-1)!;
      const until = { min: from.min + stepMin, celsius: air(from.min + stepMin) };
      ages.push(ages.at(-1)! + gathers(from, until));
      readings.push(until);
    }
    const i = ages.findIndex((age) => age >= wanted);
    const last = readings.at(-1)!;
    if (i < 0) return last.celsius < floorC ? Infinity : last.min + (wanted - ages.at(-1)!) / rate(last.celsius, refC, ea);
    return withinStretch(readings[i - 1]!, readings[i]!, wanted - ages[i - 1]!, ages[i]! - ages[i - 1]!, refC, ea);
  };
}

/** The clock minute at which a film reaches one age. Several are asked of one `filmAgeing`. @param wanted min at refC */
export const minuteOfAge = (wanted: number, air: Air, refC: number, ea: number, stepMin = 60): number =>
  filmAgeing(air, refC, ea, stepMin)(wanted);
