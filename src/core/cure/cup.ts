import type { Air } from '#core/air';
import { kelvin, R } from './rate';

/** Heat of cure of a resin standing in a cup. Kamal and Sourour 1973, second order, with the gel point of Flory and Stockmayer. */
const B = 0.5;
const GEL = 0.577;
const HEAT = 300;
const LOSS = 12;
const CAPACITY = 1.9;
const STEP = 0.05;
/** Conversion in one step from which it is taken in finer ones, how many at most, and from which it is over at once. */
const FINE = 0.1;
const MOST_PARTS = 40;
const ALL_AT_ONCE = 0.5;
/** A day: a cup that has not gelled by then is not going to run away. */
const LONGEST = 1440 / STEP;
/** A cup runs away from the minute it warms this fast, K/min. */
const RUNAWAY = 2;

/** From this peak, °C, a cup is warned of, and from this it stops the pour. */
export const PEAK_WARN = 60;
export const PEAK_STOP = 90;

/** How deep a cup of unknown make is filled, as a share of its diameter. */
const DEPTH = 0.7;

/** Diameter and depth of what stands in a cup of unknown make, mm. */
export function cupFill(ml: number): { diameter: number; depth: number } {
  const diameter = ((4000 * ml) / (DEPTH * Math.PI)) ** (1 / 3);
  return { diameter, depth: DEPTH * diameter };
}

/** Cooling surface of mix that stands in a vessel as deep as a share of its diameter, m²: top, floor and wall. */
function surfaceOf(ml: number, depth: number): number {
  const volume = ml * 1e-6;
  const d = ((4 * volume) / (depth * Math.PI)) ** (1 / 3);
  return (Math.PI * d * d) / 2 + (4 * volume) / d;
}

/** Cooling surface of a cup, m², for a depth of 0.7 of its diameter. */
export const cupSurface = (ml: number): number => surfaceOf(ml, DEPTH);

/** How deep mix stands in a wide tub, as a share of its diameter. */
const WIDE_DEPTH = 0.15;

/** Cooling surface of a wide tub or tray that mix is made in, m². */
export const wideSurface = (ml: number): number => surfaceOf(ml, WIDE_DEPTH);

/** Rate constant that gels the resin at its gel age, per equivalent minute. */
export function cureConstant(gelAge: number): number {
  const log = Math.log((B + GEL) / B) - Math.log(1 - GEL);
  return (log / (1 + B) ** 2 + (1 / (1 - GEL) - 1) / (1 + B)) / gelAge;
}

/** What a cup does when it is left standing; minutes on the clock, Infinity where it never comes. */
export interface CupCourse {
  /** Temperature and equivalent age every half minute up to the peak. */
  celsius: number[];
  age: number[];
  gelMin: number;
  runawayMin: number;
  peakC: number;
  peakMin: number;
}

const COURSE_STEP = 0.5;

/**
 * A cup of mixed resin left standing: conversion α, temperature T and equivalent age by fourth-order Runge–Kutta.
 * dα/dt_e = k(B + α)(1 − α)²; dT/dt = (m·H·dα/dt − 60·U·A·(T − T_room)) / (m·c).
 * Reference: 100 g in 0.012 m² at 23 °C, gel age 240: 31.22 °C at 15 min, peak 98.59 °C.
 * @param grams   mass in the cup
 * @param surface cooling surface, m²
 * @param air     round the cup by minutes after A and B met, and of the bottles at its beginning
 * @param gelAge  equivalent minutes to gel, at refC
 * @param untilAge where only the way to an age is asked for, the age at which it may end; the peak is then the
 *                 warmest so far
 * @param startC  of the bottles, °C, where that is not the air's
 * @param lossU   heat given to the air, W/(m²·K)
 */
export function cupCourse(
  grams: number,
  surface: number,
  air: Air,
  gelAge: number,
  refC: number,
  ea: number,
  untilAge = Infinity,
  startC = air(0),
  lossU = LOSS,
): CupCourse {
  // the Arrhenius rate of rate.ts with what does not change taken out of the loop
  const steep = (ea * 1000) / R;
  const rest = 1 / kelvin(refC);
  const rate = (celsius: number): number => Math.exp(-steep * (1 / (celsius + 273.15) - rest));
  const k = cureConstant(gelAge);
  const loss = (60 * lossU * surface) / (grams * CAPACITY);
  const heat = HEAT / CAPACITY;
  const curing = (alpha: number, speed: number): number => k * (B + alpha) * (1 - alpha) ** 2 * speed;
  const course: CupCourse = { celsius: [startC], age: [0], gelMin: Infinity, runawayMin: Infinity, peakC: startC, peakMin: 0 };

  let alpha = 0;
  let temp = startC;
  let age = 0;
  let lastSlope = 0;
  /** One step of h minutes from a clock minute on. A cure so fast that no step follows it is over in that step, and its heat is all there. */
  const step = (from: number, h: number, r1: number): void => {
    const a1 = curing(alpha, r1);
    if (a1 * h > ALL_AT_ONCE) {
      temp += heat * (1 - alpha);
      alpha = 1;
      age += h * r1;
      return;
    }
    const [before, midway, after] = [air(from), air(from + h / 2), air(from + h)];
    const t1 = heat * a1 - loss * (temp - before);
    const r2 = rate(temp + (h / 2) * t1);
    const a2 = curing(alpha + (h / 2) * a1, r2);
    const t2 = heat * a2 - loss * (temp + (h / 2) * t1 - midway);
    const r3 = rate(temp + (h / 2) * t2);
    const a3 = curing(alpha + (h / 2) * a2, r3);
    const t3 = heat * a3 - loss * (temp + (h / 2) * t2 - midway);
    const r4 = rate(temp + h * t3);
    const a4 = curing(alpha + h * a3, r4);
    const t4 = heat * a4 - loss * (temp + h * t3 - after);
    alpha = Math.min(1, alpha + (h / 6) * (a1 + 2 * a2 + 2 * a3 + a4));
    temp += (h / 6) * (t1 + 2 * t2 + 2 * t3 + t4);
    age += (h / 6) * (r1 + 2 * r2 + 2 * r3 + r4);
  };
  const recordEvery = Math.round(COURSE_STEP / STEP);
  for (let n = 1; n <= LONGEST; n++) {
    const now = (n - 1) * STEP;
    const before = alpha;
    const speed = rate(temp);
    const cured = curing(alpha, speed);
    const slope = heat * cured - loss * (temp - air(now));
    if (cured * STEP <= FINE) step(now, STEP, speed);
    else {
      const parts = Math.min(MOST_PARTS, Math.ceil((cured * STEP) / FINE));
      for (let part = 0; part < parts; part++) step(now + (part * STEP) / parts, STEP / parts, rate(temp));
    }
    if (course.gelMin === Infinity && alpha >= GEL) course.gelMin = now + (STEP * (GEL - before)) / (alpha - before);
    if (course.runawayMin === Infinity && slope >= RUNAWAY)
      course.runawayMin = n === 1 ? 0 : now - (STEP * (slope - RUNAWAY)) / (slope - lastSlope);
    lastSlope = slope;
    if (temp > course.peakC) {
      course.peakC = temp;
      course.peakMin = n * STEP;
    }
    if (n % recordEvery === 0) {
      course.celsius.push(temp);
      course.age.push(age);
    }
    // two readings at the least, so that it can be read between them
    if (n >= recordEvery && (age >= untilAge || (alpha >= GEL && temp < course.peakC - 0.5))) break;
  }
  return course;
}

/** Age of a standing cup at a clock minute, equivalent min; past the record it ages as it last did. */
export function cupAge(course: CupCourse, min: number): number {
  const at = Math.min(Math.max(0, min) / COURSE_STEP, course.age.length - 2);
  const i = Math.floor(at);
  return course.age[i]! + (course.age[i + 1]! - course.age[i]!) * (Math.max(0, min) / COURSE_STEP - i);
}

/** Temperature of a standing cup at a clock minute, °C; past the record as it was at its end. */
export function cupCelsius({ celsius }: CupCourse, min: number): number {
  const at = Math.min(Math.max(0, min) / COURSE_STEP, celsius.length - 1);
  const i = Math.min(Math.floor(at), celsius.length - 2);
  return celsius[i]! + (celsius[i + 1]! - celsius[i]!) * (at - i);
}

/** Clock minute at which a standing cup reaches an age, min. */
export function cupMinuteOfAge(course: CupCourse, wanted: number): number {
  if (wanted <= 0) return 0;
  let i = course.age.findIndex((a) => a >= wanted);
  if (i < 0) i = course.age.length - 1;
  const [a, b] = [course.age[i - 1]!, course.age[i]!];
  return COURSE_STEP * (i - 1 + (wanted - a) / (b - a));
}
