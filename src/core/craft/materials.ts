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

/**
 * Colourants of ordinary strength, by pigment and form. k and s are starting values of the trade until a smear of
 * one's own is measured.
 */
export const startingColourants: Colourant[] = [
  {
    id: 'phthalo-blue',
    name: 'Phthalo blue tint',
    kind: 'liquid pigment',
    density: 1.1,
    solids: 0.15,
    dropMl: 0.025,
    absorb: [900, 200, 40],
    scatter: [4, 6, 10],
  },
  {
    id: 'turquoise',
    name: 'Turquoise tint',
    kind: 'liquid pigment',
    density: 1.1,
    solids: 0.15,
    dropMl: 0.025,
    absorb: [700, 60, 100],
    scatter: [5, 8, 8],
  },
  { id: 'white-paste', name: 'White paste', kind: 'paste', density: 1.7, solids: 0.3, absorb: [0.2, 0.2, 0.2], scatter: [250, 250, 250] },
];

/** Cups a studio starts with: plain ones with lines, until its own are on the shelf. */
export const startingVessels: Vessel[] = cupsBeforeShelf;

/** The cups of a studio; the plain ones where it has no list of its own. */
export const vesselsOf = ({ vessels }: { vessels?: Vessel[] | undefined }): Vessel[] => vessels ?? startingVessels;
