import type { Dressing, DressingKind } from '#core/document';

/** How large and high a dressing starts, mm, and when it goes on. */
export const startingDressings: Record<DressingKind, Pick<Dressing, 'size' | 'height' | 'when'>> = {
  shell: { size: 18, height: 8, when: 'after the wave' },
  stone: { size: 12, height: 7, when: 'before resin' },
  crystal: { size: 10, height: 6, when: 'between coats' },
  glass: { size: 14, height: 5, when: 'after the wave' },
  creature: { size: 30, height: 0, when: 'between coats' },
};
