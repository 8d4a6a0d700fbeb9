import { spoonDensity } from '#core/craft';
import type { Colourant, Part } from '#core/document';
import { dose, type Dose } from '#core/mix';

/** A recipe as it can really be put into a cup: whole drops and steps of the scale, and the loads those make. */
export interface Counted {
  doses: Dose[];
  recipe: Part[];
}

/**
 * A load of one colourant as it can be measured: whole drops, of a let-down where there are few, or steps of the scale;
 * undefined where it is less than half of the smallest that can be.
 * @param resinG    A + B in the cup, g
 * @param scaleStep reading step of the scale, g
 * @param whole     whole drops only, and nothing thinned
 */
export function measurable(part: Part, colourant: Colourant, resinG: number, scaleStep: number, whole = false): Dose | undefined {
  const { dropMl, density } = colourant;
  // the weakest let-down is one part in twenty
  const smallest = (dropMl === undefined ? scaleStep : dropMl * density) / (whole ? 1 : 20);
  if (part.load * resinG < smallest / 2) return undefined;
  const exact = dose(part, colourant, resinG, scaleStep, whole ? [] : undefined);
  if (exact.count !== undefined) return exact;
  const step = scaleStep / ((exact.letDown ?? 0) + 1);
  const grams = Math.max(1, Math.round(exact.grams / step)) * step;
  return { ...exact, grams, ml: grams / spoonDensity(colourant), load: grams / resinG };
}

/** A whole recipe as it can be measured. Colourants that are not known are left out. */
export function counted(recipe: Part[], colourants: Colourant[], resinG: number, scaleStep: number, whole = false): Counted {
  const doses = recipe.flatMap((part) => {
    const colourant = colourants.find((c) => c.id === part.colourantId);
    return (colourant && measurable(part, colourant, resinG, scaleStep, whole)) ?? [];
  });
  return { doses, recipe: doses.map(({ colourantId, load }) => ({ colourantId, load })) };
}
