import { keptLoad } from '#core/edit';
import type { Studio } from '#core/document';
import { mixedDensity } from '#core/mix';
import { counted, hexOf, recipeSeen, slopeMeans, solveSlope } from '#core/tint';
import { r } from './rounded';

/** Every slope of a studio: its cups deep to shore, what they are made of, and how even they are. */
export const slopesReport = (studio: Studio) =>
  (studio.slopes ?? []).map((slope) => {
    const means = slopeMeans(slope, studio);
    const solved = solveSlope(slope, means);
    return {
      slope: slope.name,
      filmMm: r(slope.film),
      over: slope.ground,
      cups: solved.cups.map((cup) => {
        const made = counted(
          cup.recipe,
          means.colourants,
          cup.cup.ml * mixedDensity(means.resin),
          studio.settings.scaleStep,
          studio.method.fewDrops === 'whole drops',
        );
        return {
          cup: cup.cup.name,
          ml: r(cup.cup.ml),
          loads: cup.recipe.map((p) => ({ colourant: p.colourantId, percent: keptLoad(p.load * 100) })),
          drops: made.doses.map((d) => ({
            colourant: d.colourantId,
            ...(d.count === undefined ? { grams: r(d.grams) } : { drops: d.count }),
            ...(d.letDown && { letDown: `1 : ${d.letDown}` }),
          })),
          lightness: r(cup.lightness),
          colour: hexOf(cup.seen),
          inDrops: hexOf(recipeSeen(made.recipe, means.colourants, slope.film, means.ground)),
          ...(cup.stops && { stops: cup.stops }),
        };
      }),
      steps: solved.steps.map((s) => ({ lightness: r(s.lightness), deltaE: r(s.deltaE) })),
    };
  });
