/** Quantities as people write them: read into mm, ml, g, °C and min at the edge, and written back in the studio's units. */
export {
  area,
  bare,
  density,
  duration,
  film,
  fraction,
  length,
  mass,
  type Quantity,
  type Reading,
  temperature,
  viscosity,
  volume,
} from './quantity';
export { type Range, read, readWithin, short } from './read';
export { figures, fixed, plain } from './plain';
export { isPast, writeDuration, writeHours, writeSpan } from './time';
export {
  inUnit,
  lengthFigure,
  type LengthUnit,
  type Units,
  volumeFigure,
  type VolumeUnit,
  type WeightUnit,
  writeArea,
  writeLength,
  writeShare,
  writeViscosity,
  writeTemperature,
  writeVolume,
} from './write';
export { writesIn, type Writes } from './hand';
export { readsIn, type Reads } from './hand-read';
export { readThickness, thicknessWord, writeThickness } from './thickness';
export { readRatio } from './ratio';
export { tilt } from './tilt';
