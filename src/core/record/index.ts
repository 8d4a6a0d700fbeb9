/** What a pour's append-only events add up to, and where a piece stands because of them. */
export { effective, timesOf, unknownEvents } from './times';
export { extraHeat, isRecorded, plannedBesideDone, readSession, type Session, weighed } from './session';
export { type PourSummary, summaryOf } from './summary';
export { type Standing, standingOf } from './standing';
export { Standings } from './standings';
export { whatIsBelow } from './below';
