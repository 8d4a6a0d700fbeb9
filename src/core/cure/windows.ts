import type { Air } from '#core/air';
import type { Method, Resin } from '#core/document';
import { ageOfViscosity, thickeningRate } from './viscosity';
import { filmAgeing } from './rate';

/** Air that does not keep one temperature is looked at so often, min: a bench may be warmed within a few minutes. */
const OFTEN = 10;

/** From one clock minute after mixing until another. */
export interface Span {
  from: number;
  until: number;
}

/** What may be done when, in clock minutes after A and B met. */
export interface Windows {
  /** Free of haze and streaks: the maker's stirring time. */
  stirred: number;
  /** Tint lays and blends; later and shorter is still possible. */
  tint: Span;
  /** White has body and can still be laid, left out where there is none. `until` may be before `from`: then it never is. */
  white?: Span;
  /** The middle third of that: white holds a crisp edge. */
  whiteBest?: Span;
  /** Heat still moves the film, up to its working age. */
  heatUntil: number;
  lastMoves: Span;
  /** After heat, when three quarters and nearly all of the cells that open by themselves have. */
  cellsThreeQuarters: number;
  cellsNearlyAll: number;
  /** Hands off. */
  leave: Span;
  /** The film holds shells and glass. */
  shells: Span;
  /** The next coat bonds by itself; later it is scuffed and wiped first. */
  nextCoat: Span;
  /** Infinity where it is too cold for its full hardness. */
  fullCure: number;
}

/** How the white's cup ages, for windows that hang on it. */
export interface WhiteCup {
  /** Viscosity beside clear, from its solids and its paste. */
  multiplier: number;
  /** Clock minute at which this cup reaches an equivalent age. */
  minuteOfAge: (age: number) => number;
}

/** What the film of a batch is beside one that lies from the first minute, as warm as the air. */
export interface FilmStart {
  /** How much older it is, for having stood warm in its cup and for what heat it brings along; equivalent min. */
  ahead: number;
}

/** When the white of a batch may be laid, and when it is crispest. @param latest minute after which the film no longer moves */
function whiteWindow(
  resin: Resin,
  method: Method,
  air: Air,
  white: WhiteCup,
  latest: number,
): Required<Pick<Windows, 'white' | 'whiteBest'>> {
  /** When the white is so thick: its age for that hangs on how warm the film is by then, so the minute is closed in on. */
  const thick = (pas: number): number => {
    let minute = 0;
    for (let k = 0; k < 4; k++) minute = white.minuteOfAge(ageOfViscosity(resin, method, air(minute), pas, white.multiplier));
    return minute;
  };
  const past = (share: number): number => white.minuteOfAge(share * resin.workingMin);
  const from = Math.max(resin.stirMin, thick(method.whiteReady));
  const until = Math.min(Math.max(thick(method.whiteLimit), past(2 / 3)), past(1), latest);
  return { white: { from, until }, whiteBest: { from: from + (until - from) / 3, until: from + (2 * (until - from)) / 3 } };
}

/**
 * Windows of a batch in a film as warm as its air. The white's thickness is taken at its own cup's age and the film's
 * temperature. White is ready at 1.8 Pa·s and stirred, until the later of 7 Pa·s and ⅔ of the working age, never past
 * the working age, its own or the film's.
 * @param air   by minutes after A and B met
 * @param white left out where the batch has none
 */
export function windowsOf(resin: Resin, method: Method, air: Air, white?: WhiteCup, { ahead }: FilmStart = { ahead: 0 }): Windows {
  const lies = filmAgeing(air, resin.refC, method.activationEa, OFTEN);
  const hardens = filmAgeing(air, resin.refC, method.activationEa, OFTEN, resin.lowestC);
  const clock = (age: number): number => lies(age - ahead);
  const working = resin.workingMin;
  const k = thickeningRate(resin, method);
  return {
    stirred: resin.stirMin,
    tint: { from: resin.stirMin, until: Math.max(resin.stirMin, clock(working / 2)) },
    ...(white && whiteWindow(resin, method, air, white, clock(working))),
    heatUntil: clock(working),
    lastMoves: { from: clock(0.8 * working), until: clock(working) },
    cellsThreeQuarters: lies(Math.log(4) / k),
    cellsNearlyAll: lies(Math.log(10) / k),
    leave: { from: clock(working), until: clock(resin.handleH * 60) },
    shells: { from: clock(working / 3), until: clock(working) },
    nextCoat: { from: clock(resin.recoatFromH * 60), until: clock(resin.bondUntilH * 60) },
    fullCure: Math.max(clock(resin.handleH * 60), hardens(resin.fullCureH * 60 - ahead)),
  };
}
