/** Values that both the schema and the core list. */

/** Grounds a slope may be made even over. */
export const slopeGrounds = ['white primer', 'bare wood', 'sand', 'slate'] as const;

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
