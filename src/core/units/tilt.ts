import type { Quantity } from './quantity';

/** Degrees that a board hangs for each part of its length it falls; straight up to some ten degrees. */
const FALL = 180 / Math.PI;

/** How far something hangs off level. */
export const tilt: Quantity = {
  name: 'tilt',
  example: '0.3°, 5 mm/m or 1/16 in/ft',
  units: [
    { name: '°', spellings: ['deg', 'degree', 'degrees'], factor: 1 },
    { name: 'mm/m', spellings: ['mm/metre', 'mm/meter'], factor: FALL / 1000 },
    { name: 'in/ft', spellings: ['in/foot', 'inch/foot', 'inch/ft', '"/ft', '"/\''], factor: FALL / 12 },
    { name: '%', spellings: ['percent', 'per cent'], factor: FALL / 100 },
  ],
};
