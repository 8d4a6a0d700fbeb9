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
  windowsOf,
  type CupCourse,
  type Windows,
} from '#core/cure';
import type { Colourant, Method, Resin } from '#core/document';
import { mixedDensity } from '#core/mix';
import { solidsShare } from '#core/tint';
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

/** Minutes at which air that changes is read up to one of them: every five at the most. */
const readAt = (min: number): number[] => {
  const n = Math.max(1, Math.ceil(min / 5));
  return Array.from({ length: n + 1 }, (_, i) => (min * i) / n);
};

/** Age gathered in some air from A and B on, equivalent min. */
const ageInAir = (air: Air, min: number, refC: number, ea: number): number =>
  air.steady === undefined
    ? age(
        readAt(min).map((at) => ({ min: at, celsius: air(at) })),
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
function filmAhead(
  cup: CupCourse,
  at: number,
  density: number,
  { resin, method, air }: { resin: Resin } & Pick<Bench, 'method' | 'air'>,
): number {
  const { refC } = resin;
  const ea = method.activationEa;
  const cooled = cooledAge(cupCelsius(cup, at), air(at), coolingMin(POURED_FILM, density), refC, ea);
  return cupAge(cup, at) + cooled - ageInAir(air, at, refC, ea);
}

/** When the first cup of a mixing is laid, min: stirred, and coloured cup by cup. */
const laidAt = ({ stirMin }: Resin, cups: ClockCup[], { colourMinPerCup }: Method): number =>
  stirMin + colourMinPerCup * cups.filter((c) => c.coloured).length;

/** A cup is mostly warmed to less than so many times the age it would have in the room by when it is laid. */
const WARMED = 4;

/**
 * The windows of a mixing.
 * @param resin its times as ages of a film
 * @param brief no more of a cup's course is worked out than its laying asks for; its whole course is where it is kept anyway
 */
export function clocked(resin: Resin, cups: ClockCup[], { method, air, courses }: ClockBench, brief = false): Clocked {
  const density = mixedDensity(resin);
  const course = (ml: number, untilAge = resin.workingMin): CupCourse => courses.of(ml, density, resin, { method, air }, untilAge);
  const at = laidAt(resin, cups, method);
  const untilLaid = brief ? Math.min(resin.workingMin, WARMED * at) : resin.workingMin;
  const fullest = cups.reduce<ClockCup | undefined>((most, c) => (!most || c.ml > most.ml ? c : most), undefined);
  const white = cups.find((c) => c.white);
  const ahead = fullest ? filmAhead(course(fullest.ml, untilLaid), at, density, { resin, method, air }) : 0;
  const whites = white && {
    multiplier: white.multiplier,
    minuteOfAge: (wanted: number) => cupMinuteOfAge(course(white.ml), wanted),
  };
  return { windows: windowsOf(resin, method, air, whites, { ahead }), ahead };
}
