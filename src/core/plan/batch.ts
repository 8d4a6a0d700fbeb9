import type { Colourant, Method, Part, Resin } from '#core/document';
import { cupAge, cupCourse, cupMinuteOfAge, cupSurface, thickenedBy, viscosity, windowsOf, type CupCourse, type Windows } from '#core/cure';
import { cupContent, volumeWeighedError, mixedDensity, split, type Split } from '#core/mix';
import { solidsShare } from '#core/tint';
import type { CoatPlan } from './coats';
import type { Cup } from './cups';
import type { Strain } from './strain';

/** One mixing of A and B: the cups it fills, of one piece or of several, and the clock it starts. */
export interface Batch {
  resin: Resin;
  cups: Cup[];
  /** Mixed resin to make, ml, with what stays in the mixing cup. */
  ml: number;
  parts: Split;
  grams: number;
  /** Ratio error made by weighing the maker's volumes as grams; 0 where the maker states weights. */
  weighedError: number;
  windows: Windows;
  /** How the white's own cup ages and how much thicker than clear it is; of a 10 ml cup of clear where there is no white. */
  white: { course: CupCourse; multiplier: number };
  /** Cups that hold the most for the longest, left standing: the mixing cup, and the fullest one filled from it. */
  standing: Standing[];
  /** Where a resin is mixed more than once: what one mixing would do. */
  because?: Strain;
}

/** A cup left standing, and when the plan empties it; clock minutes after mixing. */
export interface Standing {
  name: string;
  grams: number;
  course: CupCourse;
  /** Minute at which it would reach its working age in the cup. */
  workingMin: number;
  /** Which filled cup it is; undefined for the cup everything was mixed in, which is emptied once all others are filled. */
  key?: string;
}

/** Thickness of the white some minutes after mixing, Pa·s: at its cup's age and the film's temperature. */
export const whiteThickness = ({ resin, white }: Batch, { method, roomC }: Bench, min: number): number =>
  viscosity(resin, method, roomC, cupAge(white.course, min), white.multiplier);

/** What every batch of a piece shares. */
export interface Bench {
  method: Method;
  colourants: Colourant[];
  /** °C */
  roomC: number;
}

/** The white of a batch, if it has one: the cup whose thickness times the wave, and what is in it. */
function whiteOf(cups: Cup[], coats: CoatPlan[]): { cup: Cup; recipe: Part[] } | undefined {
  for (const { coat, cups: own } of coats) {
    if (coat.kind !== 'wave') continue;
    const cup = own.find((c) => c.key.endsWith('/white') && cups.some((k) => k.key === c.key));
    if (cup) return { cup, recipe: coat.white.recipe };
  }
  return undefined;
}

const courses = new Map<string, CupCourse>();
const COURSES_KEPT = 400;

/**
 * The course of a cup, reckoned to the millilitre from 20 ml on and to a tenth below, and kept: a dragged shoreline
 * asks for the same few cups again and again. Half a millilitre moves the peak by less than
 * half a degree.
 */
function courseOf(ml: number, density: number, resin: Resin, { roomC, method }: Bench, untilAge?: number): CupCourse {
  const volume = Math.max(0.1, ml >= 20 ? Math.round(ml) : Math.round(ml * 10) / 10);
  const key = [volume, density, roomC, resin.gelMin, resin.refC, method.activationEa, untilAge].join(' ');
  let course = courses.get(key);
  if (!course) {
    if (courses.size >= COURSES_KEPT) courses.clear();
    course = cupCourse(volume * density, cupSurface(volume), roomC, resin.gelMin, resin.refC, method.activationEa, untilAge);
    courses.set(key, course);
  }
  return course;
}

/** @param coats those the cups belong to, so that the white that times the wave is known */
export function planBatch(resin: Resin, cups: Cup[], coats: CoatPlan[], bench: Bench): Batch {
  const { method, colourants, roomC } = bench;
  const filled = cups.reduce((sum, c) => sum + c.ml, 0);
  // a lone cup is mixed in itself; several are filled from a mixing cup that keeps its own share
  const ml = cups.length > 1 ? cupContent(filled, method) : filled;
  const density = mixedDensity(resin);
  const parts = split(ml, resin);

  const course = (volume: number, untilAge?: number): CupCourse => courseOf(volume, density, resin, bench, untilAge);
  const white = whiteOf(cups, coats);
  // without a white the window is that of a 10 ml cup of clear, so the clock can still be read
  const whiteCourse = course(white ? white.cup.ml : 10, resin.workingMin);
  const multiplier = white ? method.whitePaste * thickenedBy(solidsShare(white.recipe, colourants, density)) : 1;
  const stand = (name: string, volume: number, key?: string): Standing => {
    // the mixing cup is followed to its peak; a filled one only to the age at which it is past working
    const own = course(volume, key ? resin.workingMin : undefined);
    return { name, grams: volume * density, course: own, workingMin: cupMinuteOfAge(own, resin.workingMin), ...(key && { key }) };
  };
  const fullest = cups.reduce<Cup | undefined>((most, c) => (!most || c.ml > most.ml ? c : most), undefined);
  return {
    resin,
    cups,
    ml,
    parts,
    grams: parts.aG + parts.bG,
    weighedError: volumeWeighedError(resin),
    white: { course: whiteCourse, multiplier },
    windows: windowsOf(resin, method, roomC, { multiplier, minuteOfAge: (age) => cupMinuteOfAge(whiteCourse, age) }),
    standing: [
      ...(cups.length > 1 ? [stand('the mixing cup', ml)] : []),
      ...(fullest ? [stand(`the cup “${fullest.name}”`, fullest.ml, cups.length > 1 ? fullest.key : undefined)] : []),
    ],
  };
}
