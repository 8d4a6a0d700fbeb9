import { cupsBeforeShelf, type Colourant, type Resin, type Vessel } from '#core/document';

/** A resin of ordinary figures, for a studio that starts empty; the artist's own data sheet replaces it. */
export const startingResin: Resin = {
  id: 'coating-resin',
  name: 'Coating resin',
  ratio: { a: 1, b: 1, by: 'volume' },
  densityA: 1.15,
  densityB: 0.98,
  refC: 23,
  lowestC: 15,
  viscosity: 0.9,
  stirMin: 4,
  workingMin: 45,
  gelMin: 240,
  recoatFromH: 6,
  bondUntilH: 24,
  handleH: 24,
  fullCureH: 72,
  loadLimit: 0.06,
  loadLimitBy: 'weight',
};

/** A blue of ordinary strength, for what cannot be read. */
export const startingColourant: Colourant = {
  id: 'phthalo-blue',
  name: 'Phthalo blue tint',
  kind: 'liquid pigment',
  density: 1.1,
  solids: 0.15,
  dropMl: 0.025,
  absorb: [900, 200, 40],
  scatter: [4, 6, 10],
};

/** Cups a studio starts with: plain ones with lines, until its own are on the shelf. */
export const startingVessels: Vessel[] = cupsBeforeShelf;

/** The cups of a studio; the plain ones where it has no list of its own. */
export const vesselsOf = ({ vessels }: { vessels?: Vessel[] | undefined }): Vessel[] => vessels ?? startingVessels;
