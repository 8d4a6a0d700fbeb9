/** What finished pours say of the studio's own figures, held toward what the trade takes them for, and how one is taken over. */
export { figureNow, withFigure, type Standing, type Taken } from './figure';
export { foamSeen, rehearsedAndRead, RUNS } from './foam';
export { ENOUGH, learnedOf, lessonsOf, worthTaking, type Lesson } from './lessons';
export type { Looked, Observation } from './observation';
export { observationsOf, photosOf } from './observed';
export { figureName, sayLearned, sayLesson, writeFigure } from './words';
