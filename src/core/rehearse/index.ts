/** A wave of a piece tried before it is poured: its board as a scene for the foam, worked on by hand, measured over several lucks. */
export { begunWith, setupOf } from './begun';
export { waysOf, type Question, type Same, type Way } from './beside';
export { SCORCHED, WorkedBoard, type Piece, type Reading } from './board';
export { actsDrawn, drawnPath } from './drawn';
export { DRILL, drillsOf, type Drill, type DrillName, type Scored } from './drills';
export { actsOf, passesOf, tooMuchToKeep, withoutRehearsed, withRehearsed } from './kept';
export { likenessKey, likenessOf, seenAt, type Likeness } from './likeness';
export { playedOf } from './played';
export {
  LUCKS,
  LUCKS_ALONG,
  oneLuck,
  overLucks,
  RESTED,
  stretch,
  type Measured,
  type OneLuck,
  type OverLucks,
  type Stretch,
} from './lucks';
export { ageAt, plannedBarrier, plannedWhite, sceneOf, type Scene } from './scene';
export { nearest, SEARCH_GRIDS, seenTrial, TRIALS, trials, type Look, type SeenTrial, type Trial } from './search';
export { drawnOn, laidOn, BACK, linesLaid, passesMade, pushes, toolOf, towardSea, type Hand, type Setup } from './setup';
export { advise, type Advice } from './stop';
