/** What is on the shelf beside resins and colourants. */
export const supplies = [
  'sand',
  'gesso',
  'paint',
  'sealer',
  'tape',
  'film',
  'gloves',
  'shells',
  'stones',
  'crystals',
  'glass pieces',
  'creatures',
  'gravel',
  'additive',
  'other',
] as const;
