/** Kinds of coat, each with its name, starting values, cups, colour and words in one record, and how coats stand to each other. */
export { dropsOf } from './additive';
export { cup, cupFor, innerNeed, lineNeed, needTogether, portionsOf, type Cup, type Filling, type Need, type Serve } from './cup';
export type { Covers, FilmWords, LookedAt } from './kind';
export { coatName, kindOf, kinds, laidOf, overOf } from './kinds';
export { awaitedBy, coatNames, groupCoats, isJoined, numbered } from './order';
export { allOf, depthOf, partsFromDeep, regionOfTint } from './region';
export { airPasses, passSeconds, rehearsalOf, rehearsedOn } from './rehearsed';
export { pourOf, type Setting, type Site } from './setting';
export { thinnedIn } from './thinned';
export { partsOfCup } from './tinted-parts';
export { threadFilm, threadReach } from './thread';
export { foamOver, gapWidth, waveSection, whiteOf, type WhiteAmounts } from './wave';
