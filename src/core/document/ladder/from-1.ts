/** A file as it is read, before anything of it is trusted. */
export type Loose = Record<string, unknown>;

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

/** Habits that came with version 2, as it began. Frozen, whatever a studio starts with today. */
const habitsOfVersion2 = { smallestMix: 60, mostMixings: 4, smallestCup: 10, smallestWhite: 15, whiteFactor: 1.5, layMlPerMin: 100 };

/** Habits of version 1, with those that came since; a cup took two minutes to lay then, whatever was in it. */
export const upgradedMethod = (method: unknown): unknown =>
  isRecord(method) ? { ...habitsOfVersion2, ...method, ...(method['layMinPerCup'] === 2 && { layMinPerCup: 1 }) } : method;

/**
 * A studio of version 1 as version 2 has it: pours of several pieces, and habits of what a hand can mix. What its pours were
 * told is not known here; the planner tells them once.
 */
export function from1({ pours, method, ...studio }: Loose): Loose {
  return {
    ...studio,
    version: 2,
    ...(method !== undefined && { method: upgradedMethod(method) }),
    ...(pours !== undefined && { pours: Array.isArray(pours) ? pours.map(upgradedPour) : pours }),
  };
}
