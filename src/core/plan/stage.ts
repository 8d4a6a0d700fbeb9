import type { Site } from '#core/coat';

/** How far a piece has come: how many of its coats lie, bottom first, and whether the last pour of them is still wet. */
export interface Stage {
  coats: number;
  wet: boolean;
}

/** Waves of the pour that is still wet: their cells have not opened yet. */
export function wetWaves({ piece, pours }: Pick<Site, 'piece' | 'pours'>, { coats, wet }: Stage): Set<string> {
  const laid = piece.coats.slice(0, coats);
  const pour = pours.findLast((p) => laid.includes(p[0]!)) ?? [];
  return new Set(wet ? pour.flatMap((c) => (c.kind === 'wave' && laid.includes(c) ? [c.id] : [])) : []);
}
