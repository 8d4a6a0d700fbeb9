import type { Air } from '#core/air';
import { cupCourse, type CupCourse } from './cup';
import { rate } from './rate';

/** Heat that a film gives to the air above it and to its board, W/(m²·K). */
const LOSS = 20;
const CAPACITY = 1.9;

/**
 * What a film does by itself: a cup with its whole face open, per m². Of gel age 240 at 23 °C it peaks at 25.2 °C for 2 mm,
 * 28.1 for 4, 40.4 for 8, 90 for 12.
 * @param film mm @param density g/ml @param untilAge at which it may end
 */
export const filmCourse = (
  film: number,
  density: number,
  air: Air,
  gelAge: number,
  refC: number,
  ea: number,
  untilAge = Infinity,
): CupCourse => cupCourse(1000 * density * film, 1, air, gelAge, refC, ea, untilAge, air(0), LOSS);

/** How long a film takes to lose all but 1/e of what it is warmer than the air, min: 3.5 for 2 mm. */
export const coolingMin = (film: number, density: number): number => (1000 * density * film * CAPACITY) / (LOSS * 60);

/** Parts of a cooling that are looked at, and how many of its times. */
const [PARTS, TIMES] = [24, 6];

/**
 * Age a film gathers beyond one that is as warm as the air, for being laid warmer or colder and coming to it; equivalent min.
 * @param laidC as it was laid, °C
 */
export function cooledAge(laidC: number, airC: number, cooling: number, refC: number, ea: number): number {
  const off = laidC - airC;
  if (Math.abs(off) < 0.01) return 0;
  const own = rate(airC, refC, ea);
  const h = (TIMES * cooling) / PARTS;
  let sum = 0;
  for (let i = 0; i <= PARTS; i++) {
    const weight = i === 0 || i === PARTS ? 1 : i % 2 ? 4 : 2;
    sum += weight * (rate(airC + off * Math.exp((-i * h) / cooling), refC, ea) - own);
  }
  return (sum * h) / 3;
}

/** What a pass of heat ages the film by where it lingers, equivalent min: 10 s at 75 °C are 4.7 at a T_ref of 23. */
export const heatAge = (seconds: number, celsius: number, refC: number, ea: number): number => (seconds / 60) * rate(celsius, refC, ea);
