/** Rules of the craft, read over a plan: what to stop for, what to watch, what to know. */
import { filmOverEdge, foodWithoutClearTop } from './board';
import * as coats from './coats';
import * as drawing from './drawing';
import * as dressing from './dressing';
import type { Facts, Finding, Rule, Severity } from './finding';
import * as mixing from './mixing';
import * as prepare from './prepare';
import * as support from './support';

export type { Facts, Finding, Rule, Severity } from './finding';
export * from './mixing';
export * from './board';
export * from './coats';
export * from './drawing';
export * from './dressing';
export * from './prepare';
export * from './support';
export * from './cautions';

const rules: Rule[] = [
  mixing.loadOverLimit,
  mixing.colourantOverOwn,
  mixing.cupTooBig,
  mixing.batchOutlasts,
  mixing.batchSplit,
  mixing.mixedWithCare,
  mixing.tooManyMixings,
  filmOverEdge,
  support.wallOverfull,
  foodWithoutClearTop,
  ...Object.values(prepare),
  ...Object.values(coats),
  ...Object.values(dressing),
  drawing.whiteOffWindow,
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

/** What every rule finds, the most severe first. */
export const advise = (facts: Facts): Finding[] =>
  rules.flatMap((rule) => rule(facts)).sort((a, b) => order.indexOf(a.severity) - order.indexOf(b.severity));
