/** Small stand-ins for outside devices, which ship with the app: a scale, moved by a time that is passed in, and a camera over a card. */
export { advance, type HandMove, laidOn, moved, newScale, poured, type ScaleReading, shows, type SimulatedScale, tared } from './scale';
export { type Optics, shoot } from './camera';
export {
  drawLacing,
  knownShots,
  LACING_WHITE,
  photographLacing,
  type DrawnLacing,
  type KnownLacing,
  type KnownShot,
  type Lacing,
} from './lacing';
export { photograph, type Shot } from './photo';
export {
  airShown,
  newThermometer,
  thermometerAfter,
  thermometerMoved,
  type AirMove,
  type AirShown,
  type SimulatedThermometer,
} from './thermometer';
