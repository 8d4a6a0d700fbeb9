/** The plan a pour is told: what is mixed, filled and done when, kept whole, and the words it is said in. */
export { tell } from './tell';
export { type Amount, say, type Words } from './words';
export { contentsOf, writeContents, writeDose, writeGrains, writeMeasured, writeSand } from './contents';
export { boardSupplies } from './boards';
export { toldStudio, withTold } from './older';
export { type AtBench, benchAir, benchClockOf } from './clock';
export { beadChecked } from './bead';
export { type BeadCheck, lastBead } from './last-bead';
export { sameCups, sessionFigures } from './session-figures';
export { weightsOf } from './weights';
export { insideOf, type WeighLine } from './weigh-lines';
export { type Weighing, weighingOf } from './weighing';
export { howToNarrow, writeRange } from './narrow';
export { meetFor, type LikelyMoment } from './meet';
