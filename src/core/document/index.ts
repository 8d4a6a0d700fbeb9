/** The studio document: its types, its bounds, and how it is opened from and written to a file. */
export type * from './schema';
export { supplies, slopeGrounds } from './enums';
export { cupKey, isKnown, stepKey } from './identity';
export { limits } from './limits';
export { linesOf, mapSea, type DrawnLine } from './lines';
export { sortOut, type Misfit, type Rows, type Sorted, type StandIns } from './misfits';
export { openStudio, problemsOf, type Opened } from './open';
export { writeProblem, type Problem } from './problem';
export { namedBy } from './references';
export { boxOf, holesOf, shapeProblem } from './shape';
export { landOnRight } from './side';
export { tintsOf } from './tints';
export { cupsBeforeShelf, upgradedMethod, upgradedPour, upgradedStudio } from './upgrade';
export { writeStudio } from './write';
