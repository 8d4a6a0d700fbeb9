/** What is done to a board before its resin and after it, as work with its time and as words, and how a clock face is set out. */
export { siliconeLater } from './additive';
export { tapeOff, workAfter } from './after';
export { hoursBefore, workBefore } from './before';
export { finishedWork, type FinishStep, finishSteps } from './finish';
export { careCard, type CareCard } from './care-card';
export { type BetweenWork, sayBetween, workBetween } from './between';
export { hourMarks, type HourMark } from './dial';
export { edgeAmounts, sayWork, type WorkWords } from './words';
export { hoursOf, timeOf, type Work, type WorkKey } from './work';
