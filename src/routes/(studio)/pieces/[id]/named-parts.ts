import type { Point } from '#core/document';
import { middleOf, partsOf } from '#core/geometry';
import type { PiecePlan } from '#core/plan';
import { partNames } from './words';

/** The beach and the parts of the sea by name, with the place where a name has most room, mm; parts that are empty are left out. */
export const namedParts = (plan: PiecePlan): { name: string; area: number; at: Point }[] => {
  const names = ['beach', ...partNames(plan.piece), ...(plan.piece.sea.areas ?? []).map((a) => a.name)];
  return partsOf(plan.cut).flatMap((region, i) => {
    const at = middleOf(region);
    return at ? [{ name: names[i]!, area: region.area, at }] : [];
  });
};
