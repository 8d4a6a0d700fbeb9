import { ordinaryDoubts } from '#core/craft';
import { cupAge, cupCelsius, cupMinuteOfAge, thickenedBy, viscosity } from '#core/cure';
import type { Resin, Told } from '#core/document';
import { mixedDensity, sandShare } from '#core/mix';
import { clocked, filmAge, type ClockCup, type Clocked } from './clock';
import { heatAgeOf } from './heat';
import type { LikelyWindows } from './figures';
import { likelyClock } from './likely';
import type { Means } from './means';
import type { Planner } from './planner';

/** A told cup as its clock sees it: the same, out of what was told. */
export function toldClockCups({ cups, batches }: Pick<Told, 'cups' | 'batches'>, batch: number): ClockCup[] {
  const whiteCup = batches[batch]?.whiteCup;
  return cups
    .filter((cup) => cup.batch === batch)
    .map(({ id, name, ml, aG, bG, doses, sandG, pressed, gravel, colour }) => {
      const white = id.role === 'white';
      const sanded = sandG > 0 && !pressed && !gravel && aG + bG > 0;
      return {
        name,
        ml,
        // the pigment of a tint thickens it by less than a hand feels
        multiplier: white ? (whiteCup?.multiplier ?? 1) : sanded ? thickenedBy(sandShare(sandG / (aG + bG), (aG + bG) / ml)) : 1,
        white,
        coloured: doses.length > 0 || sandG > 0,
        ...(colour && { colour }),
      };
    });
}

/** What one cup, or the film, does against the clock. */
export interface ClockCurve {
  name: string;
  cup?: ClockCup;
  /** Pa·s at a minute after mixing. */
  thickness: (min: number) => number;
  /** °C at a minute: of the cup as it stands, or of the film. */
  celsius: (min: number) => number;
  /** Minute at which it is past working. */
  workingMin: number;
}

/** The clock of a mixing: its windows, how sure they are, and how every cup and the film thicken. */
export interface BatchClock extends Clocked {
  resin: Resin;
  likely: LikelyWindows;
  cups: ClockCurve[];
  film: ClockCurve;
}

/**
 * The clock of a mixing, cup by cup. White is as thick as its own cup's age makes it at the film's temperature, as it is
 * laid; any other cup is as warm as it stands.
 * @param shelved as on the shelf, or as thick as it was measured today
 * @param heated minutes at which the film is heated
 */
export function batchClock(shelved: Resin, cups: ClockCup[], means: Means, planner: Planner, heated: number[] = []): BatchClock {
  const { method, air, doubts = ordinaryDoubts } = means;
  const { courses } = planner;
  const bench = { method, air, doubts, courses };
  const resin = planner.aged(shelved, method);
  const { windows, ahead } = clocked(resin, cups, bench);
  const density = mixedDensity(resin);
  const pass = heatAgeOf({ resin }, bench);
  const aged = (min: number): number => filmAge({ resin, ahead }, bench, min) + pass * heated.filter((at) => at < min).length;
  return {
    resin,
    windows,
    ahead,
    likely: likelyClock(resin, cups, bench),
    cups: cups.map((cup): ClockCurve => {
      const course = courses.of(cup.ml, density, resin, bench, 1.5 * resin.workingMin);
      return {
        name: cup.name,
        cup,
        thickness: (min) => viscosity(resin, method, cup.white ? air(min) : cupCelsius(course, min), cupAge(course, min), cup.multiplier),
        celsius: (min) => cupCelsius(course, min),
        workingMin: cupMinuteOfAge(course, resin.workingMin),
      };
    }),
    film: {
      name: 'the film',
      thickness: (min) => viscosity(resin, method, air(min), aged(min)),
      celsius: air,
      workingMin: windows.heatUntil,
    },
  };
}
