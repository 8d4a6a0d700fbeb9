/** A wave of a piece tried before it is poured: its board as a scene for the foam, worked on by hand, measured over several lucks. */
export { waysOf, type Question, type Same, type Way } from './beside';
export { SCORCHED, WorkedBoard, type Piece, type Reading } from './board';
export { LUCKS, LUCKS_ALONG, oneLuck, overLucks, RESTED, stretch, type Measured, type OneLuck, type OverLucks } from './lucks';
export { ageAt, plannedBarrier, plannedWhite, sceneOf, type Scene } from './scene';
export { laidOn, pushes, toolOf, towardSea, type Hand, type Setup } from './setup';
export { advise, type Advice } from './stop';
