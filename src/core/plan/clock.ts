import type { Air } from '#core/air';
import type { Cup } from '#core/coat';
import { POURED_FILM } from '#core/craft';
import {
  age,
  coolingMin,
  cooledAge,
  cupAge,
  cupCelsius,
  cupMinuteOfAge,
  rate,
  thickenedBy,
  viscosity,
  windowsOf,
  type CupCourse,
  type Shift,
  type Windows,
} from '#core/cure';
import type { Colourant, Method, Resin, Told } from '#core/document';
import { mixedDensity } from '#core/mix';
import { solidsShare } from '#core/tint';
import { heatAgeOf } from './heat';
import { likelyWindows, moved, type LikelyWindows, type Moved } from './likely';
import type { Bench } from './means';

/** A cup as the clock of its mixing sees it. */
export interface ClockCup {
  name: string;
  /** Mixed resin in it. */
  ml: number;
  /** Thickness beside clear, from what is in it. */
  multiplier: number;
  white: boolean;
  /** Something is stirred into it before it is laid. */
  coloured: boolean;
  colour?: string;
}

/** Windows of a mixing, and how much older its film is than one that lay in the room's air from the first minute. */
export interface Clocked {
  windows: Windows;
  ahead: number;
}

/** What a clock runs on: how cups age, in which air, from which habits. */
export type ClockBench = Pick<Bench, 'method' | 'air' | 'courses'>;

/** How much thicker than clear what is in a cup makes it. */
export function clockCup(cup: Cup, density: number, colourants: Colourant[], { whitePaste }: Pick<Method, 'whitePaste'>): ClockCup {
  const { id, name, ml, made, doses, sandG, colour } = cup;
  const white = id.role === 'white';
  const pigment = thickenedBy(solidsShare(made.tint?.recipe ?? [], colourants, density));
  const sand = made.sand && !made.sand.pressed && !made.sand.gravel ? thickenedBy(1 - made.sand.resinShare) : 1;
  return {
    name,
    ml,
    multiplier: (white ? whitePaste : 1) * pigment * sand,
    white,
    coloured: doses.length > 0 || sandG > 0,
    ...(colour && { colour }),
  };
}

/** A told cup as its clock sees it: the same, out of what was told. */
export function toldClockCups({ cups, batches }: Pick<Told, 'cups' | 'batches'>, batch: number): ClockCup[] {
  const whiteCup = batches[batch]?.whiteCup;
  return cups
    .filter((cup) => cup.batch === batch)
    .map(({ id, name, ml, doses, sandG, colour }) => {
      const white = id.role === 'white';
      return {
        name,
        ml,
        // sand and pigment other than white thicken what is laid at once, and no window hangs on them
        multiplier: white ? (whiteCup?.multiplier ?? 1) : 1,
        white,
        coloured: doses.length > 0 || sandG > 0,
        ...(colour && { colour }),
      };
    });
}

/** Age gathered in some air from A and B on, equivalent min. */
const ageInAir = (air: Air, min: number, refC: number, ea: number): number =>
  air.steady === undefined
    ? age(
        [0, min / 2, min].map((at) => ({ min: at, celsius: air(at) })),
        refC,
        ea,
      )
    : min * rate(air.steady, refC, ea);

/** Age of a batch's film at a minute after mixing, equivalent min: of its time in the cup and on the board. */
export const filmAge = (
  { resin, ahead }: { resin: Resin; ahead: number },
  { method, air }: Pick<Bench, 'method' | 'air'>,
  min: number,
): number => ahead + ageInAir(air, min, resin.refC, method.activationEa);

/** How much older a film is that is laid at a minute out of a cup, than one that lay in the air from the first; equivalent min. */
function filmAhead(cup: CupCourse, at: number, density: number, { resin, method, air }: Moved): number {
  const { refC } = resin;
  const ea = method.activationEa;
  const cooled = cooledAge(cupCelsius(cup, at), air(at), coolingMin(POURED_FILM, density), refC, ea);
  return cupAge(cup, at) + cooled - ageInAir(air, at, refC, ea);
}

/** When the first cup of a mixing is laid, min: stirred, and coloured cup by cup. */
const laidAt = ({ stirMin }: Resin, cups: ClockCup[], { colourMinPerCup }: Method): number =>
  stirMin + colourMinPerCup * cups.filter((c) => c.coloured).length;

/** The windows of a mixing. @param resin its times as ages of a film @param shift inputs moved, to see how sure they are */
export function clocked(resin: Resin, cups: ClockCup[], bench: ClockBench, shift: Shift = {}): Clocked {
  const own = moved({ resin, method: bench.method, air: bench.air }, shift);
  const there = { method: own.method, air: own.air };
  const density = mixedDensity(resin);
  const course = (ml: number): CupCourse => bench.courses.of(ml, density, own.resin, there, own.resin.workingMin);
  const fullest = cups.reduce<ClockCup | undefined>((most, c) => (!most || c.ml > most.ml ? c : most), undefined);
  const white = cups.find((c) => c.white);
  const ahead = fullest ? filmAhead(course(fullest.ml), laidAt(resin, cups, bench.method), density, own) : 0;
  const whites = white && {
    multiplier: white.multiplier,
    minuteOfAge: (wanted: number) => cupMinuteOfAge(course(white.ml), wanted),
  };
  return { windows: windowsOf(own.resin, own.method, own.air, whites, { ahead }), ahead };
}

/** How sure the windows of a mixing are. */
export const likelyClock = (resin: Resin, cups: ClockCup[], bench: ClockBench & Pick<Bench, 'doubts'>): LikelyWindows =>
  likelyWindows((shift) => clocked(resin, cups, bench, shift).windows, bench.doubts);

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
 * @param resin  its times as ages of a film
 * @param heated minutes at which the film is heated
 */
export function batchClock(resin: Resin, cups: ClockCup[], bench: ClockBench & Pick<Bench, 'doubts'>, heated: number[] = []): BatchClock {
  const { method, air, courses } = bench;
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
