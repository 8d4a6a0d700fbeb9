import type { Mark, Vessel } from '#core/document';

/** Room to stir in: a cup is taken when it holds this much more than what goes into it. */
const STIRRING = 1.2;

/**
 * The smallest of one's own cups that can be stirred in; undefined where none holds so much.
 * @param ml what goes into it
 */
export const vesselFor = (ml: number, vessels: Vessel[]): Vessel | undefined =>
  vessels.filter((v) => v.use === 'cup' && v.holds >= ml * STIRRING).sort((a, b) => a.holds - b.holds || (a.id < b.id ? -1 : 1))[0];

/** A level drawn by filling a cup with water on a scale. @param waterG weight of the water, g @param celsius of the water */
export const markFromWater = (waterG: number, mm: number, celsius: number): Mark => ({ ml: waterG / waterDensity(celsius), mm });

/** Slopes of a curve that never turns back between its points (Fritsch and Carlson 1980, SIAM J. Numer. Anal. 17:238). */
function risingSlopes(x: number[], y: number[]): number[] {
  const n = x.length;
  const secant = Array.from({ length: n - 1 }, (_, i) => (y[i + 1]! - y[i]!) / (x[i + 1]! - x[i]!));
  const slope = x.map((_, i) => (i === 0 ? secant[0]! : i === n - 1 ? secant[n - 2]! : (secant[i - 1]! + secant[i]!) / 2));
  secant.forEach((d, i) => {
    const [a, b] = [slope[i]! / d, slope[i + 1]! / d];
    const long = Math.hypot(a, b);
    if (long <= 3) return;
    slope[i] = (3 * a * d) / long;
    slope[i + 1] = (3 * b * d) / long;
  });
  return slope;
}

/**
 * How high a cup is filled, mm above its floor: a smooth rising curve through its floor and its marks.
 * @param ml what is in it
 * @returns undefined without marks, and above the highest of them
 */
export function fillHeight(ml: number, { marks = [] }: Pick<Vessel, 'marks'>): number | undefined {
  const top = marks.at(-1);
  if (!top || ml > top.ml || ml < 0) return undefined;
  const x = [0, ...marks.map((m) => m.ml)];
  const y = [0, ...marks.map((m) => m.mm)];
  const slope = risingSlopes(x, y);
  const i = Math.max(
    0,
    x.findLastIndex((v, k) => v <= ml && k < x.length - 1),
  );
  const h = x[i + 1]! - x[i]!;
  const t = (ml - x[i]!) / h;
  return (
    (2 * t ** 3 - 3 * t ** 2 + 1) * y[i]! +
    (t ** 3 - 2 * t ** 2 + t) * h * slope[i]! +
    (3 * t ** 2 - 2 * t ** 3) * y[i + 1]! +
    (t ** 3 - t ** 2) * h * slope[i + 1]!
  );
}

/** Density of water, g/ml, 0 to 40 °C (McCutcheon, Martin and Barnwell 1993). 20 °C → 0.99823. */
export const waterDensity = (celsius: number): number =>
  1 - ((celsius + 288.9414) * (celsius - 3.9863) ** 2) / (508929.2 * (celsius + 68.12963));

/**
 * Density of a resin from one cup filled to the same line twice, g/ml.
 * @param resinG, waterG what filled it, g, without the cup
 * @param celsius of the water
 */
export const densityFromWater = (resinG: number, waterG: number, celsius: number): number => (resinG / waterG) * waterDensity(celsius);
