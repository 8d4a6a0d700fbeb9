/** Edits of a piece, of a slope and of a studio: each takes the thing as it is and gives it changed. */
export { withBareEdge, withBreaker, withCornerBeach, withIsland, withLandSwapped, withoutLine } from './added-lines';
export * from './coats';
export * from './curves';
export * from './dressings';
export { freeId } from './ids';
export * from './new-piece';
export { movedTo } from './move';
export { withDrawnSea, withParts, withSea, withSeaOf } from './parts';
export { acrossRow, joinsOf, meetingNeighbours, rowOf, type Join, type Placed } from './row';
export { withShape } from './shape';
export { mirrored, withSide, withStartingSea } from './sides';
export * from './slopes';
export { withLace, withLines } from './wave';
