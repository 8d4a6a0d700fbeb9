/** Quantities as people write them: read into mm, ml, g, °C and min at the edge, and written back. */
export { bare, density, duration, film, fraction, length, mass, type Quantity, type Reading, temperature, volume } from './quantity';
export { type Range, read, readWithin, short } from './read';
export {
  fixed,
  inUnit,
  isPast,
  type LengthUnit,
  plain,
  volumeFigure,
  type VolumeUnit,
  writeArea,
  writeDuration,
  writeHours,
  writeLength,
  writeShare,
  writeSpan,
  writeTemperature,
  writeVolume,
} from './write';
export { readRatio } from './ratio';
