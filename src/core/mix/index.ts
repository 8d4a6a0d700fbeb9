/** Amounts: from film and drawn lines to cups, to A and B by volume and weight, to drops and the load they make. */
export { coverage, cupContent, dripsOf, filmVolume, foamVolume, lineArea, lineVolume, runOver, sandShare, withSpare } from './film';
export {
  mixedDensity,
  RATIO_FLAG,
  RATIO_STOP,
  ratioError,
  readingError,
  rescue,
  smallestWeighable,
  split,
  type Split,
  splitByWeight,
  volumeWeighedError,
} from './ratio';
export { dose, type Dose, dropsFor, isOver, letDownFor, type LetDowns, letDownsOf, totalLoad } from './load';
export { roundedToMarks, roundedToScale, unscraped } from './rounded';
export { densityFromWater, fillHeight, markFromWater, vesselFor, waterDensity } from './vessel';
export { exampleMarks, exampleWeights, readDensity, readDrop, readMarks, writeDrop, writeMarks } from './measured';
export { proportioned } from './proportion';
export { DOSES, readDose, readDoseIn, type DoseInto } from './typed-dose';
