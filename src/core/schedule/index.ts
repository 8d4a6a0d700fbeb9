/** Days and nights: when a laid film is tacky, open for the next coat and fully cured, and the coats of several pieces in one pair of hands. */
export { type Curing, curingOf, type Film, type Lying, type Stretch, stretchesOf } from './stretches';
export type { Along, Footprint, Job, Link, Operation, Plan, PlaceToLie, Problem, Promised, RoomOverTime, Step, Unplanned } from './problem';
export { slotsOf, weights } from './problem';
export { ageAt, momentOfAge } from './ages';
export { fits } from './places';
export { check, type Checked } from './check';
export { effortFor } from './orders';
export { planJobs, type Tell } from './planner';
export { Priced } from './priced';
export { Alone, type Costs, costsFrom, lastMoments, type Slack, type Stop } from './explain';
