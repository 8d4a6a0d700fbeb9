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
export interface Reading {
  min: number;
  celsius: number;
}

/** Simpson's rule over a stretch where the temperature runs straight; the rate is integrated, not taken of the mean. */
function stretchAge(from: Reading, until: Reading, refC: number, ea: number): number {
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
export function age(readings: Reading[], refC: number, ea: number): number {
  return readings.slice(1).reduce((sum, to, i) => sum + stretchAge(readings[i]!, to, refC, ea), 0);
}

/**
 * The clock minute at which a film reaches an age, in air whose temperature is given by the minute.
 * @param wanted equivalent age, min at refC
 * @param airC   temperature at a clock minute after the start; straight between whole steps of `stepMin`
 * @returns minutes after the start; Infinity when not reached within 60 days
 */
export function minuteOfAge(wanted: number, airC: (min: number) => number, refC: number, ea: number, stepMin = 60): number {
  let gathered = 0;
  let from: Reading = { min: 0, celsius: airC(0) };
  while (from.min < 60 * 1440) {
    const until: Reading = { min: from.min + stepMin, celsius: airC(from.min + stepMin) };
    const more = stretchAge(from, until, refC, ea);
    if (gathered + more >= wanted) return from.min + (stepMin * (wanted - gathered)) / more;
    gathered += more;
    from = until;
  }
  return Infinity;
}
