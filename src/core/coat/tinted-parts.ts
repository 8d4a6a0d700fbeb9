import { tintsOf, type Coat, type Sea } from '#core/document';
import { partsOf, type CoatRegions } from '#core/geometry';
import { partsFromDeep } from './region';

/** Which of several tints lies on a part: they are spread over the coat's parts in order, none over more than its turn. */
export const tintAt = (tints: number, place: number, of: number): number => (tints >= of ? place : Math.floor((place * tints) / of));

/**
 * Parts of the board that one cup of a coat goes over: 0 the beach, the sea from the shore seaward, then areas.
 * @param tint which of several from the deep; all parts of the coat where it has only one
 */
export function partsOfCup(coat: Coat, regions: CoatRegions, sea: Pick<Sea, 'areas'>, tint: number | undefined): number[] {
  const order = partsFromDeep(regions, sea);
  if (tint === undefined) return order;
  if (coat.kind === 'sea') {
    const part = regions.sea.length - tint;
    const last = tint === coat.tints.length - 1;
    // where the sea runs over the beach, its shore tint does
    return [part, ...(last ? [0] : [])].filter((p) => (partsOf(regions)[p]?.area ?? 0) > 0);
  }
  const tints = tintsOf(coat).length;
  return order.filter((_, place) => tintAt(tints, place, order.length) === tint);
}
