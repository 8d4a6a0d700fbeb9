import { warmer, type Air } from '#core/air';
import type { Method, Resin } from '#core/document';
import { likely, type Doubts, type Shift, type Windows } from '#core/cure';
import { measuredDoubts, ordinaryDoubts } from '#core/craft';
import type { Batch } from './batch';
import { clocked, type ClockBench, type ClockCup } from './clock';
import type { Courses } from './courses';
import type { LikelyWindows } from './figures';
import type { Bench, Means } from './means';

/** The edges of windows, by name. */
const edgesOf = ({ tint, white, whiteBest, shells, lastMoves, heatUntil, nextCoat, leave, fullCure }: Windows): Record<string, number> => ({
  tintUntil: tint.until,
  ...(white && whiteBest && { whiteFrom: white.from, bestFrom: whiteBest.from, bestUntil: whiteBest.until, whiteUntil: white.until }),
  shellsFrom: shells.from,
  lastMovesFrom: lastMoves.from,
  heatUntil,
  recoatFrom: nextCoat.from,
  bondUntil: nextCoat.until,
  handle: leave.until,
  fullCure,
});

/** A resin, the studio's habits and an air with some inputs moved. */
export interface Moved {
  resin: Resin;
  method: Method;
  air: Air;
}

/** Each input moved by so much: times and thicknesses by their logarithms. What a maker states in hours is a threshold too. */
export function moved({ resin, method, air }: Moved, shift: Shift, courses: Pick<Courses, 'warmer'> = { warmer }): Moved {
  const { temperature = 0, working = 0, viscosity = 0, ea = 0, eMu = 0, threshold = 0 } = shift;
  const [slower, thicker, later] = [Math.exp(working), Math.exp(viscosity), Math.exp(threshold)];
  return {
    resin: {
      ...resin,
      workingMin: resin.workingMin * slower,
      gelMin: resin.gelMin * slower,
      viscosity: resin.viscosity * thicker,
      recoatFromH: resin.recoatFromH * later,
      bondUntilH: resin.bondUntilH * later,
      handleH: resin.handleH * later,
      fullCureH: resin.fullCureH * later,
    },
    method: {
      ...method,
      activationEa: method.activationEa + ea,
      activationEmu: method.activationEmu + eMu,
      whiteReady: method.whiteReady * later,
      whiteLimit: method.whiteLimit * later,
    },
    air: temperature ? courses.warmer(air, temperature) : air,
  };
}

/** What is known better of a resin that was measured. */
const ofResin = ({ measuredOn }: Pick<Resin, 'measuredOn'>, doubts: Doubts): Doubts =>
  measuredOn ? { ...doubts, viscosity: Math.min(doubts.viscosity, measuredDoubts.viscosity) } : doubts;

/** How sure the windows of a mixing are. @param resin its times as ages of a film */
export const likelyClock = (
  resin: Resin,
  cups: ClockCup[],
  { method, air, doubts, courses }: ClockBench & Pick<Bench, 'doubts'>,
): LikelyWindows =>
  likely(
    (shift) => {
      const own = moved({ resin, method, air }, shift, courses);
      return edgesOf(clocked(own.resin, cups, { ...own, courses }, true).windows);
    },
    ofResin(resin, doubts),
  ) as LikelyWindows;

/** How sure the windows of a planned batch are; worked out when it is first asked for, and kept with it. @param means it was planned with */
export function likelyOf(batch: Batch, means: Means): LikelyWindows {
  const { method, air, doubts = ordinaryDoubts } = means;
  const { resin, clockCups, later } = batch;
  return (later.likely ??= likelyClock(resin, clockCups, { method, air, doubts, courses: later.courses }));
}
