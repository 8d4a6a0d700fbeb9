/** Edits of a piece, of a slope and of a studio: each takes the thing as it is and gives it changed. */
export { withBaseTint, withoutBaseTint } from './base';
export { withBeach, withGrainColour, withTintedSand } from './beach';
export { withArea } from './areas';
export { withBareEdge, withBreaker, withCornerBeach, withIsland, withLandSwapped, withoutLine } from './added-lines';
export {
  newCoatId,
  placeFor,
  resinFor,
  withCoat,
  withCoatAdded,
  withCoatMoved,
  withCoatOrder,
  withCoatTwice,
  withFilm,
  withLaid,
  withLoad,
  withoutCoat,
  withTint,
} from './coats';
export { withLineMoved, withoutPoint, withPoint, withPointAdded } from './curves';
export { withDressing, withDressingChanged, withoutDressing } from './dressings';
export { type Again, madeAgain } from './again';
export { duplicated } from './duplicate';
export { freeId, pieceIdFor } from './ids';
export { type BoardAnswers, startingBoard, startingCoat, startingPiece } from './new-piece';
export { canLayerAgain, withLayerAgain } from './layer';
export { withLying } from './lying';
export { merged, mergingOf, type Merging } from './merge';
export { movedTo } from './move';
export { withDrawnSea, withParts, withSea, withSeaOf } from './parts';
export { acrossRow, joinsOf, meetingNeighbours, rowOf, type Join, type Placed } from './row';
export { withShape } from './shape';
export { mirrored, seaMisfit, withSide, withStartingSea } from './sides';
export { keptLoad, slopeTints, withCupCount, withCupInserted, withoutCup, withSlope } from './slopes';
export { withLace, withLines } from './wave';
