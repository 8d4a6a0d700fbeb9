/** Constants of the Magnus form over water (WMO); valid −45 to 60 °C. */
const [A, B] = [17.62, 243.12];

/** How much water saturated air holds at a temperature, beside that at another: the exponent of the Magnus form. */
const saturation = (celsius: number): number => Math.exp((A * celsius) / (B + celsius));

/**
 * Dew point of air. 20 °C at 65 %: 13.22 °C.
 * @param celsius  of the air
 * @param humidity relative, above 0 to 1
 * @returns the temperature at or below which a surface takes on water, °C
 */
export function dewPoint(celsius: number, humidity: number): number {
  const x = Math.log(humidity) + (A * celsius) / (B + celsius);
  return (B * x) / (A - x);
}

/**
 * Relative humidity of the same air when it has cooled or warmed, no more than 1: what is over that is dew.
 * @param humidity relative, at `fromC`
 */
export const humidityAt = (humidity: number, fromC: number, celsius: number): number =>
  Math.min(1, (humidity * saturation(fromC)) / saturation(celsius));

/** A surface this near above the dew point is damp, K; air from these humidities on hazes a film, and spoils it. */
export const DAMP = { near: 3, warn: 0.75, stop: 0.85 } as const;
