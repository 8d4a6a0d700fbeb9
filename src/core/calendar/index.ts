/** The studio's calendar: its pieces, hands and rooms as a problem, and the plan that comes of it in moments and words. */
export { type Asked, HORIZON_DAYS } from './asked';
export { becauseOf, beginBy, type Because } from './because';
export { Planned, type Calendar, type Lane, type Obstacle, type Promise, type Session } from './calendar';
export { afterPour, type Care, careDue, sayCare } from './care';
export { compare, type Compared, type Moved } from './compare';
export { freeIn, hoursOn, momentOn, startingHours, weekdayOf } from './hours';
export { Maker, type MadeProblem, type Odd } from './problem';
export {
  and,
  inTheWay,
  sayMinutes,
  sayDue,
  sayObstacle,
  sayOdd,
  sayPieces,
  sayPromise,
  saySession,
  sayShortDay,
  sayWhen,
  withoutPlan,
} from './said';
export { firstDates, quickly, suggestionsFor, type FirstDates, type Gives, type Suggestion } from './what-if';
export { type About, didIn, type WorkKind } from './work';
export { readNight, readSpans, writeSpans, type SpansRead } from './typed-hours';
export { todayOf, type Closing, type OnTable, type Today } from './today';
export { isQuiet, noticesAt, shownOf, type Notice, type Told } from './notices';
