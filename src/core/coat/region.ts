import type { Area, Piece, Sea } from '#core/document';
import { partsOf, type CoatRegions, type Cut, type Region } from '#core/geometry';

/** Several parts of a board as one. */
export const joined = (regions: Region[]): Region => ({
  rings: regions.flatMap((r) => r.rings),
  area: regions.reduce((sum, r) => sum + r.area, 0),
  rim: regions.reduce((sum, r) => sum + r.rim, 0),
});

/** All that a coat goes over: beach, sea and areas. */
export const allOf = (regions: CoatRegions): Region => joined(partsOf(regions));

/** The part of the sea a tint goes over. Parts of the sea run from the shore seaward, tints from deep to shore. */
export const regionOfTint = (cut: Pick<Cut, 'sea'>, tintIndex: number): Region | undefined => cut.sea[cut.sea.length - 1 - tintIndex];

/** Parts of a board by their numbers, from the far to the near: sky, the sea from the deep to the shore, the beach, land. */
function fromDeep({ sea, areas }: Pick<Cut, 'sea' | 'areas'>, kinds: Area[] = []): number[] {
  const first = sea.length + 1;
  const ofKind = (kind: Area['kind']): number[] => areas.flatMap((_, i) => (kinds[i]?.kind === kind ? [first + i] : []));
  return [...ofKind('sky'), ...sea.map((_, i) => sea.length - i), 0, ...ofKind('land')];
}

/** Parts of a board, or of what a coat takes of it, that are there, from the far to the near. */
export const partsFromDeep = (regions: Cut | CoatRegions, { areas }: Pick<Sea, 'areas'>): number[] => {
  const parts = partsOf(regions);
  return fromDeep(regions, areas).filter((part) => parts[part]!.area > 0);
};

/** Where along the board's depth a part lies: 0 the farthest, 1 the nearest of those that are there. */
export function depthOf({ cut, piece }: { cut: Cut; piece: Pick<Piece, 'sea'> }, part: number): number {
  const order = partsFromDeep(cut, piece.sea);
  return order.length > 1 ? Math.max(0, order.indexOf(part)) / (order.length - 1) : 0;
}
