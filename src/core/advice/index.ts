/** Rules of the craft, read over a plan: what to stop for, what to watch, what to know. */
import { filmOverEdge, foodWithoutClearTop, rawWoodUnprimed } from './board';
import { drawingAstray, whiteOffWindow } from './drawing';
import type { Facts, Finding, Rule, Severity } from './finding';
import { batchOutlasts, cupTooBig, equalGrams, loadOverLimit } from './mixing';

export type { Facts, Finding, Rule, Severity } from './finding';
export * from './mixing';
export * from './board';
export * from './drawing';
export * from './cautions';

const rules: Rule[] = [
  loadOverLimit,
  cupTooBig,
  batchOutlasts,
  filmOverEdge,
  foodWithoutClearTop,
  rawWoodUnprimed,
  whiteOffWindow,
  drawingAstray,
  equalGrams,
];
const order: Severity[] = ['stop', 'warn', 'note'];

/** What every rule finds, the most severe first. */
export const advise = (facts: Facts): Finding[] =>
  rules.flatMap((rule) => rule(facts)).sort((a, b) => order.indexOf(a.severity) - order.indexOf(b.severity));
