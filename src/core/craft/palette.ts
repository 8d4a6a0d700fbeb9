import type { Colourant } from '#core/document';
import { startingColourant } from './materials';

/** What a see-through tint of a studio that starts has in common: it drips, and hardly scatters. */
const dye = { kind: 'liquid pigment', density: 1.1, solids: 0.15, dropMl: 0.025 } as const;
const eye = { ...dye, scatter: [5, 5, 5], byEye: true } satisfies Partial<Colourant>;
const mica = { kind: 'mica powder', density: 2.8, solids: 0.5, scatter: [60, 60, 60], byEye: true } satisfies Partial<Colourant>;

/**
 * Colourants of ordinary strength, by pigment and form. k and s of the two blues, the white paste and the black are starting
 * values of the trade; those of the others are what their look over white comes to. All hold until a smear is measured.
 */
export const startingColourants: Colourant[] = [
  startingColourant,
  { ...dye, id: 'turquoise', name: 'Turquoise tint', absorb: [700, 60, 100], scatter: [5, 8, 8] },
  { id: 'white-paste', name: 'White paste', kind: 'paste', density: 1.7, solids: 0.3, absorb: [0.2, 0.2, 0.2], scatter: [250, 250, 250] },
  { ...dye, id: 'white-tint', name: 'White tint', density: 1.4, absorb: [0.3, 0.3, 0.3], scatter: [120, 120, 120], byEye: true },
  { ...eye, id: 'ultramarine', name: 'Ultramarine tint', absorb: [456, 257, 19.2] },
  { ...eye, id: 'phthalo-green', name: 'Phthalo green tint', absorb: [548, 66.2, 140] },
  { ...eye, id: 'sea-green', name: 'Sea green tint', absorb: [202, 17.5, 42.2] },
  { ...eye, id: 'pink', name: 'Pink tint', absorb: [0, 227, 78.8] },
  { ...eye, id: 'violet', name: 'Violet tint', absorb: [167, 327, 50.9] },
  { ...eye, id: 'tan', name: 'Tan tint', absorb: [30.9, 94.1, 228] },
  { ...dye, id: 'black', name: 'Black tint', absorb: [3000, 3000, 3000], scatter: [0, 0, 0] },
  { ...mica, id: 'gold', name: 'Gold mica powder', absorb: [3.3, 14.5, 233] },
  { ...mica, id: 'pearl', name: 'Pearl mica powder', absorb: [0.142, 0.247, 0.57] },
];
