/** The clock that temperature drives: equivalent age, thickness, the cup that warms itself, and the windows they open. */
export { age, filmAgeing, LONGEST_WAIT, minuteOfAge, rate } from './rate';
export { ageOfViscosity, thickenedBy, thickeningRate, viscosity } from './viscosity';
export {
  cupAge,
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
