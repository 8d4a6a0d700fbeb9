/** What the craft knows: its schools, its materials, and the ordinary figures everything starts from. */
export { bulk, dressingDensity, GRAIN, GRAVEL_DEPTH, materials, primerFilm, SAND_DENSITY, usualPrimer } from './boards';
export { type ColourantKind, colourantKinds, ownLimit, spoonDensity } from './colourants';
export { dabs } from './dabs';
export { startingDressings } from './dressings';
export { startingBeachFilm, startingCover, startingFilm, startingPerResin, POURED_FILM } from './films';
export { dryingOf, handsOn, handsOnSeveral, pricingOf, startingMethod, startingPricing } from './habits';
export { startingColourants } from './palette';
export { startingResin, startingVessels, vesselsOf } from './materials';
export {
  additive,
  additiveInto,
  batching,
  beach,
  fewDrops,
  heat,
  lace,
  laying,
  lines,
  order,
  runOff,
  type School,
  texture,
  textureOf,
  texturePerResin,
  under,
} from './schools';
export { hasBeach, startingSea, type StartingSea, startingSeas } from './seas';
export { heatTool, type HeatTool, torchTool } from './heat-tools';
export { bubbles, driftAllowed, heatPass, READABLE_TILT, startingStands, type Bubble } from './standing';
export { measuredDoubts, ordinaryDoubts } from './doubts';
export { slopeCupName, slopeCupNames, slopeCups, startingSlope } from './slopes';
export { standIns } from './stand-ins';
export { emptyStudio } from './studio';
export { onShelf, startingBase, startingBeach, startingTints, startingWhite, tintedSand } from './tints';
export { edgeOf, openOf, torched } from './ways';
export { back, otherHand, rehanded, turns } from './turns';
