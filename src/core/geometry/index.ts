/** The board's outline and the sea drawn on it: exact measures, smooth curves, and regions that add up. */
export { allowances, CutError, lent } from './allowance';
export * from './outline';
export * from './curve';
export * from './seeded';
export { blamed, cutBoard, lineOf, type Cut, type Region } from './regions';
export { middleOf } from './middle';
export { foamStrip, waveLength, waveOnBoard } from './foam';
export { coatRegions, inlandBand, inside, partOf, type CoatRegions, type Kept } from './parts';
export { alongLine, distancesTo, fieldOf, partsAt, type Field } from './field';
export { cleanRings, partition } from './clip';
