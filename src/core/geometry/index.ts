/** The board's outline and the sea drawn on it: exact measures, smooth curves, and regions that add up. */
export { allowances, CutError, lent } from './allowance';
export { blamed } from './blamed';
export { cleanRings, partition } from './clip';
export { crossesItself, lineLength, lineOf, shifted, smoothCurve, smoothRing } from './curve';
export { cutBoard, Cutter } from './cutter';
export { alongLine, distancesTo, fieldOf, partsAt, type Field } from './field';
export { foamStrip, waveLength, waveLines, waveOnBoard } from './foam';
export { middleOf } from './middle';
export { bounds, outlineArea, rimLength, rimRings, withoutHoles, type Bounds, type Ring } from './outline';
export { coatRegions, inlandBand, inside, partOf, type CoatRegions, type Kept } from './parts';
export { partsOf, type Cut, type Region } from './regions';
export { seeded, seedOf } from './seeded';
