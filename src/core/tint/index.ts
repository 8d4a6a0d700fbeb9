/** Colour of tinted films: layers over a ground and their surface, even slopes and how they are built, pigments measured and matched. */
export { internalOf, layerOver, type Rgb, seenColour, seenOf, stackOver } from './layer';
export { byEye, covers, LOOK_FILM, strengths, type Strength } from './by-eye';
export { readColour, readColours, type ColourReading } from './read-colour';
export { swatchOf } from './swatch';
export { clearLayer, recipeLayer, solidsShare } from './recipe';
export { brushOver } from './brushed';
export { type Ground, grainGround, groundKnown, groundNamed, groundOf, ownColours, sandGround } from './ground';
export { bytesOf, hexOf, lightness } from './screen';
export { deltaE, hue, lightnessOf, MATCHES, ofHex } from './differ';
export { contrastOf, HIDES, hidingFilm, hidingLoad, luminance, stickFilm, whitesOf } from './hides';
export { counted, type Counted } from './counted';
export {
  blend,
  loadFor,
  mixtureOf,
  mostOf,
  recipeSeen,
  slopeMeans,
  type SlopeMeans,
  type SolvedCup,
  type SolvedSlope,
  solveSlope,
  stepsOf,
  type Stop,
} from './slope';
export { type BuildStep, type Built, fromDeepest, fromPalest, withWhite } from './build';
export { measureChannel, type Measured, measurePigment, type Measuring } from './measure';
export { card, CARD_BLACK, CARD_WHITE, cardCorners, cardGreys, cardGrounds, type Patch } from './target';
export { type CardReading, perspective, pickAt, type Picture, readCard } from './card';
export { choices, type Match, type MatchIn, matchTint } from './match';
