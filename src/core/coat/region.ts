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
