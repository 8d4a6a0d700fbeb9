/** Lists of a studio, in the order of the file: what is in them has an id. */
export const lists = [
  'rooms',
  'resins',
  'colourants',
  'pieces',
  'pours',
  'vessels',
  'stock',
  'slopes',
  'air',
  'diary',
  'photos',
  'learned',
] as const;
export type List = (typeof lists)[number];
