/** The clock that temperature drives: equivalent age, thickness, the cup that warms itself, and the windows they open. */
export { AgeLine } from './age-line';
export { Airs } from './airs';
export { age, filmAgeing, LONGEST_WAIT, minuteOfAge, rate } from './rate';
export { beadRun, beadViscosity, shortestRun, type Bead } from './bead';
export { coolingMin, cooledAge, filmCourse, heatAge } from './film';
export { FOUR_OF_FIVE, likely, inputs, type Doubts, type Input, type Likely, type Shift } from './sure';
export { ageOfViscosity, flowing, thickenedBy, thickeningRate, viscosity } from './viscosity';
export {
  cupAge,
  cupCelsius,
  cupCourse,
  type CupCourse,
  cupFill,
  cupMinuteOfAge,
  cupSurface,
  cureConstant,
  PEAK_STOP,
  PEAK_WARN,
  wideSurface,
} from './cup';
export { aged, STATED_MASS } from './stated';
export { type Span, type Windows, windowsOf } from './windows';
