/** Rules of the craft, read over a plan: what to stop for, what to watch, what to know. */
import * as air from './air';
import * as days from './days';
import * as heat from './heat';
import * as level from './level';
import { filmOverEdge, foodWithoutClearTop } from './board';
import * as coats from './coats';
import * as drawing from './drawing';
import * as dressing from './dressing';
import type { Facts, Finding, Rule, Severity } from './finding';
import * as mixing from './mixing';
import * as prepare from './prepare';
import * as support from './support';
import { whiteOffWindow } from './white';

export type { Around, Facts, Finding, Rule, Severity } from './finding';
export { aroundOf } from './around';
export { coldRoom, dampNight, hotRoom, neverFinishes, writeLikely } from './air';
export { dueBeforeHard, noPlace, reliefNotDry } from './days';
export { bottlesTooWarm, filmHeats, heatEatsTime } from './heat';
export { levelDrift, wobblyFeet, writeShims } from './level';
export {
  batchOutlasts,
  batchSplit,
  colourantOverOwn,
  cupTooBig,
  doseOff,
  equalGrams,
  loadOverLimit,
  nearLimits,
  writeStrain,
} from './mixing';
export { filmOverEdge, foodWithoutClearTop } from './board';
export {
  coatsShortOfEdge,
  filmDrawsBack,
  glazeHidesLacing,
  sandOverFilm,
  siliconeBeforeCoat,
  solidsPacked,
  torchBesideWood,
  waitsInSamePour,
  whiteTwoWays,
} from './coats';
export { curveMeetsHole, curveTangled, drawingAstray, shoreJumps } from './drawing';
export { sessionAdvice, whiteOffWindow } from './white';
export { canvasTooLarge, clockDoesNotFit, holeUntaped, overVarnishUnscuffed, rawWoodUnprimed, thinPlySingle } from './prepare';

export { coatLeavesDry, dressingProud, dressingSinks, drySandWetted } from './dressing';
export { boardSags, hangerTooWeak, hotMugs, wallOverfull } from './support';
export { cautionFor } from './cautions';

import { liesOverOpen } from './lying';

const rules: Rule[] = [
  mixing.loadOverLimit,
  mixing.colourantOverOwn,
  mixing.doseOff,
  mixing.cupTooBig,
  mixing.batchOutlasts,
  mixing.nearLimits,
  mixing.batchSplit,
  mixing.mixedWithCare,
  mixing.tooManyMixings,
  heat.filmHeats,
  heat.bottlesTooWarm,
  heat.heatEatsTime,
  air.coldRoom,
  air.neverFinishes,
  air.hotRoom,
  air.dampNight,
  level.levelDrift,
  level.wobblyFeet,
  ...Object.values(days),
  filmOverEdge,
  support.wallOverfull,
  foodWithoutClearTop,
  ...Object.values(prepare),
  ...Object.values(coats),
  ...Object.values(dressing),
  whiteOffWindow,
  drawing.drawingAstray,
  drawing.curveTangled,
  drawing.curveMeetsHole,
  drawing.shoreJumps,
  support.hangerTooWeak,
  support.boardSags,
  support.hotMugs,
  mixing.equalGrams,
];
const order: Severity[] = ['stop', 'warn', 'note'];

/** What every rule finds, the most severe first. What lies on the board already is as it is: nothing is advised of it. */
export function advise(facts: Facts): Finding[] {
  const lying = new Set(facts.plan.piece.coats.filter((coat) => coat.lies).map((coat) => coat.id));
  return [...rules.flatMap((rule) => rule(facts)).filter((f) => !lying.has(f.where.coatId ?? '')), ...liesOverOpen(facts)].sort(
    (a, b) => order.indexOf(a.severity) - order.indexOf(b.severity),
  );
}

export {
  adviseDays,
  bondMissed,
  coatWhileAway,
  notPlanned,
  promiseTight,
  tackOutlasts,
  waitsOnShelf,
  type DayFinding,
  type Days,
  type Short,
} from './calendar';
