import type { CoatRegions, Cut, Region } from '#core/geometry';

/** Several parts of a board as one. */
export const joined = (regions: Region[]): Region => ({
  rings: regions.flatMap((r) => r.rings),
  area: regions.reduce((sum, r) => sum + r.area, 0),
  rim: regions.reduce((sum, r) => sum + r.rim, 0),
});

/** All that a coat goes over, beach and sea. */
export const allOf = ({ beach, sea }: CoatRegions): Region => joined([beach, ...sea]);

/** The part of the sea a tint goes over. Parts of the sea run from the shore seaward, tints from deep to shore. */
export const regionOfTint = (cut: Pick<Cut, 'sea'>, tintIndex: number): Region | undefined => cut.sea[cut.sea.length - 1 - tintIndex];

/** Where along the board's depth a part lies: 0 the deepest sea, 1 the beach, or the shore where there is no beach. */
export function depthOf({ beach, sea }: Pick<Cut, 'beach' | 'sea'>, part: number): number {
  const steps = sea.length - 1 + (beach.area > 0 ? 1 : 0);
  return steps > 0 ? Math.min(1, (sea.length - part) / steps) : 0;
}
