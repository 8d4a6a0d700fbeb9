import type { Colourant, Method, Resin } from '#core/document';
import { cupAge, cupCourse, cupMinuteOfAge, cupSurface, thickenedBy, viscosity, windowsOf, type CupCourse, type Windows } from '#core/cure';
import { cupContent, volumeWeighedError, mixedDensity, split, type Split } from '#core/mix';
import { solidsShare } from '#core/tint';
import type { CoatPlan, Cup } from './coats';

/** One mixing of A and B: the cups it fills and the clock it starts. */
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
}

/** A cup left standing, and when the plan empties it; clock minutes after mixing. */
export interface Standing {
  name: string;
  grams: number;
  course: CupCourse;
  /** Minute at which it would reach its working age in the cup. */
  workingMin: number;
  /** The cup it is, so that its own step can be found; undefined for the mixing cup, which is emptied once all are filled. */
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

/** The white of a batch, if it has one: the cup whose thickness times the wave. */
function whiteOf(
  cups: Cup[],
  coats: CoatPlan[],
): { cup: Cup; share: (resinDensity: number, colourants: Colourant[]) => number } | undefined {
  for (const { coat, cups: own } of coats) {
    const cup = coat.kind === 'wave' && own.find((c) => c.key.endsWith('/white') && cups.includes(c));
    if (cup && coat.kind === 'wave') return { cup, share: (density, colourants) => solidsShare(coat.white.recipe, colourants, density) };
  }
  return undefined;
}

export function planBatch(resin: Resin, coats: CoatPlan[], bench: Bench): Batch {
  const { method, colourants, roomC } = bench;
  const cups = coats.filter((c) => c.coat.resinId === resin.id).flatMap((c) => c.cups);
  const filled = cups.reduce((sum, c) => sum + c.ml, 0);
  // a lone cup is mixed in itself; several are filled from a mixing cup that keeps its own share
  const ml = cups.length > 1 ? cupContent(filled, method) : filled;
  const density = mixedDensity(resin);
  const parts = split(ml, resin);

  const standingCup = (volume: number): CupCourse =>
    cupCourse(volume * density, cupSurface(volume), roomC, resin.gelMin, resin.refC, method.activationEa);
  const white = whiteOf(cups, coats);
  // without a white the window is that of a 10 ml cup of clear, so the clock can still be read
  const whiteCourse = standingCup(white ? white.cup.ml : 10);
  const multiplier = white ? method.whitePaste * thickenedBy(white.share(density, colourants)) : 1;
  const stand = (name: string, volume: number, key?: string): Standing => {
    const course = standingCup(volume);
    return { name, grams: volume * density, course, workingMin: cupMinuteOfAge(course, resin.workingMin), ...(key && { key }) };
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
      ...(fullest ? [stand(`the cup “${fullest.name}”`, fullest.ml, fullest.key)] : []),
    ],
  };
}
