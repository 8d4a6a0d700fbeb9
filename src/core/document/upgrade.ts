import type { Vessel } from './schema';

type Loose = Record<string, unknown>;

const isRecord = (value: unknown): value is Loose => typeof value === 'object' && value !== null && !Array.isArray(value);

/** Times of a resin were read as those of a film then, and what was poured went by that. */
const ofFilm = (resin: unknown): unknown => (isRecord(resin) ? { ...resin, statedG: 0 } : resin);

/** A pour of version 1 was of one piece; what it was planned from named that piece alone. Its events stay as they are. */
export function upgradedPour(pour: unknown): unknown {
  if (!isRecord(pour) || 'of' in pour) return pour;
  const { pieceId, coatIds, planned, ...rest } = pour;
  if (!isRecord(planned)) return { ...rest, of: [{ pieceId, coatIds }], planned };
  const { piece, resins, ...means } = planned;
  const read = Array.isArray(resins) ? resins.map(ofFilm) : resins;
  return { ...rest, of: [{ pieceId, coatIds }], planned: { ...means, resins: read, pieces: [piece] } };
}

/** Cups a studio had from before there was a shelf: what a file without any means. Frozen, whatever a studio starts with today. */
export const cupsBeforeShelf: Vessel[] = [
  { id: 'cup-30', name: '30 ml cup', use: 'cup', holds: 30, count: 20, step: 2.5 },
  { id: 'cup-100', name: '100 ml cup', use: 'cup', holds: 100, count: 10, step: 5 },
  { id: 'cup-300', name: '300 ml cup', use: 'cup', holds: 300, count: 6, step: 10 },
  { id: 'cup-600', name: '600 ml cup', use: 'cup', holds: 600, count: 3, step: 20 },
];

/** Habits that came with version 2, as it began. Frozen, whatever a studio starts with today. */
const habitsOfVersion2 = { smallestMix: 60, mostMixings: 4, smallestCup: 10, smallestWhite: 15, whiteFactor: 1.5, layMlPerMin: 100 };

/** Habits of version 1, with those that came since; a cup took two minutes to lay then, whatever was in it. */
export const upgradedMethod = (method: unknown): unknown =>
  isRecord(method) ? { ...habitsOfVersion2, ...method, ...(method['layMinPerCup'] === 2 && { layMinPerCup: 1 }) } : method;

/**
 * A studio of version 1 as it stands in this one, not yet checked: whatever is out of place in it stays where it was.
 * What its pours were told is not known here; the planner tells them once.
 */
export function upgradedStudio(studio: Loose): Loose {
  if (studio['version'] !== 1) return studio;
  const { pours, method } = studio;
  return {
    ...studio,
    version: 2,
    ...('method' in studio && { method: upgradedMethod(method) }),
    ...('pours' in studio && { pours: Array.isArray(pours) ? pours.map(upgradedPour) : pours }),
  };
}
