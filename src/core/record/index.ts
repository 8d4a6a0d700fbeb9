/** What a pour's append-only events add up to, and where a piece stands because of them. */
export { effective, timesOf, toldOf, unknownEvents } from './times';
export { extraHeat, heatSeconds, isPass, isRecorded, plannedBesideDone, readSession, type Session, stepsLeft, weighed } from './session';
export type { Happening } from './happening';
export { type PourSummary, putOff, summaryOf } from './summary';
export { type Standing, standingOf } from './standing';
export { Standings } from './standings';
export { whatIsBelow } from './below';
export { type Findable, findable, found, type Sought } from './find';
export { pourOfPhoto } from './photo-pour';
