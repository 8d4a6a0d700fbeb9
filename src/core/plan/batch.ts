import type { Resin } from '#core/document';
import { cupAge, cupMinuteOfAge, viscosity, type CupCourse, type Windows } from '#core/cure';
import { cupContent, volumeWeighedError, mixedDensity, split, type Split } from '#core/mix';
import type { Cup } from '#core/coat';
import { clockCup, clocked, type ClockCup } from './clock';
import { startOf, type Care, type Courses } from './courses';
import type { LikelyWindows } from './figures';
import type { Bench } from './means';

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
  /** Of its bottles, °C, where they are not as warm as the room. */
  bottlesC?: number;
  /** Its cups as the clock sees them. */
  clockCups: ClockCup[];
  /** How much older its film is than one that lay in the air of the room from the first minute, equivalent min. */
  ahead: number;
  /** What is worked out of it only when it is asked for, and kept then. */
  later: { courses: Courses; likely?: LikelyWindows };
  /** How the white's own cup ages and how much thicker than clear it is; of a 10 ml cup of clear where there is no white. */
  white: { course: CupCourse; multiplier: number; ml: number };
  /** Cups that hold the most for the longest, waiting to be emptied: the mixing cup, and the fullest one filled from it. */
  waiting: WaitingCup[];
  /** Where a resin is mixed more than once: what one mixing would do. */
  because?: Strain;
  /** What keeps this mixing from straining, where it needs that. */
  care?: Care;
}

/** A cup that waits to be emptied, by itself at the bench; clock minutes after mixing. */
export interface WaitingCup {
  name: string;
  grams: number;
  ml: number;
  /** What it does until it is past working. */
  course: CupCourse;
  /** What it does when it is left to its peak; the longer of the two to compute, so only when asked. */
  left: () => CupCourse;
  /** Minute at which it would reach its working age in the cup. */
  workingMin: number;
  /** Which filled cup it is; undefined for the cup everything was mixed in, which is emptied once all others are filled. */
  key?: string;
}

/** Thickness of the white some minutes after mixing, Pa·s: at its cup's age and the film's temperature. */
export const whiteThickness = (
  { resin, white }: Pick<Batch, 'resin' | 'white'>,
  { method, air }: Pick<Bench, 'method' | 'air'>,
  min: number,
): number => viscosity(resin, method, air(min), cupAge(white.course, min), white.multiplier);

/** What is too much for one batch: a cup that heats itself past use before it is emptied, or work that outlasts the mix. Clock minutes. */
export type Strain =
  { kind: 'runs away' | 'past working'; cup: WaitingCup; emptied: number } | { kind: 'outlasts'; needed: number; working: number };

/** Bottles nearer to the room than this are as warm as it, K. */
const AS_ROOM = 1;

/**
 * One mixing of a resin for some cups.
 * @param resin its times as ages of a film
 */
export function planBatch(resin: Resin, cups: Cup[], bench: Bench, care: Care = {}): Batch {
  const { method, colourants, courses } = bench;
  const filled = cups.reduce((sum, c) => sum + c.ml, 0);
  // a lone cup is mixed in itself; several are filled from a mixing cup that keeps its own share
  const ml = cups.length > 1 ? cupContent(filled, method) : filled;
  const density = mixedDensity(resin);
  const startC = startOf(bench.air, method, care.cooler ?? 0);
  const parts = split(ml, resin);

  const course = (volume: number, untilAge?: number, own?: Care): CupCourse => courses.of(volume, density, resin, bench, untilAge, own);
  const white = cups.find((c) => c.id.role === 'white');
  const whiteMl = white?.ml ?? 10;
  const whiteCourse = course(whiteMl, resin.workingMin);
  const multiplier = white ? clockCup(white, density, colourants, method).multiplier : 1;
  const fullest = cups.reduce<Cup | undefined>((most, c) => (!most || c.ml > most.ml ? c : most), undefined);
  const waits = (name: string, volume: number, key?: string): WaitingCup => {
    const kept = key ? {} : care;
    const own = course(volume, resin.workingMin, kept);
    const left = (): CupCourse => course(volume, undefined, kept);
    return {
      name,
      grams: volume * density,
      ml: volume,
      course: own,
      left,
      workingMin: cupMinuteOfAge(own, resin.workingMin),
      ...(key && { key }),
    };
  };
  const clockCups = cups.map((c) => clockCup(c, density, colourants, method));
  const { windows, ahead } = clocked(resin, clockCups, bench);
  return {
    resin,
    cups,
    ml,
    parts,
    grams: parts.aG + parts.bG,
    weighedError: volumeWeighedError(resin),
    white: { course: whiteCourse, multiplier, ml: whiteMl },
    windows,
    clockCups,
    later: { courses },
    ahead,
    waiting: [
      ...(cups.length > 1 ? [waits('the mixing cup', ml)] : []),
      ...(fullest ? [waits(`the cup “${fullest.name}”`, fullest.ml, cups.length > 1 ? fullest.key : undefined)] : []),
    ],
    ...(Math.abs(startC - bench.air(0)) >= AS_ROOM && { bottlesC: startC }),
    ...((care.wide || care.cooler) && { care }),
  };
}
