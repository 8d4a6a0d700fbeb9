/** The studio document: its types, its bounds, and how it is opened from and written to a file. */
export type * from './schema';
export { supplies, slopeGrounds } from './enums';
export { cupsBeforeShelf } from './before-shelf';
export { cupKey, isKnown, stepKey } from './identity';
export { climbed } from './ladder';
export { upgradedMethod, upgradedPour } from './ladder/from-1';
export { limits } from './limits';
export { linesOf, mapSea, type DrawnLine } from './lines';
export { sortOut, type Misfit, type Rows, type Sorted, type StandIns } from './misfits';
export { openStudio, problemsOf, type Opened } from './open';
export { writeProblem, type Problem } from './problem';
export { resinProblem } from './rules';
export { namedBy } from './named';
export { boxOf, holesOf, shapeProblem } from './shape';
export { landOnRight } from './side';
export { isLine, tintsOf } from './tints';
export { VERSION } from './version';
export { writeStudio } from './write';
