import type { Vessel } from './schema';

/** Cups a studio had from before there was a shelf: what a file without any means. Frozen, whatever a studio starts with today. */
export const cupsBeforeShelf: Vessel[] = [
  { id: 'cup-30', name: '30 ml cup', use: 'cup', holds: 30, count: 20, step: 2.5 },
  { id: 'cup-100', name: '100 ml cup', use: 'cup', holds: 100, count: 10, step: 5 },
  { id: 'cup-300', name: '300 ml cup', use: 'cup', holds: 300, count: 6, step: 10 },
  { id: 'cup-600', name: '600 ml cup', use: 'cup', holds: 600, count: 3, step: 20 },
];
