import type { ToldThinned } from '#core/document';
import type { Cup } from './cup';

/** Drops that stay on the stick and in the small cup, and the share of what is weighed that does. */
const KEPT_DROPS = 3;
const KEPT = 0.15;

/** What is thinned for some cups of one mixing, in the order they take it: each once, for all that take it. */
export function thinnedIn(cups: Pick<Cup, 'doses'>[]): ToldThinned[] {
  const wanted = new Map<string, ToldThinned & { drops: number; dropMl: number; ml: number }>();
  for (const { doses } of cups)
    for (const { colourantId, name, letDown, count, grams, ml } of doses) {
      if (letDown === undefined) continue;
      const key = `${colourantId} ${letDown}`;
      const one = wanted.get(key) ?? { colourantId, name, letDown, grams: 0, clearMl: 0, drops: 0, dropMl: 0, ml: 0 };
      // each drop of the thinned holds its share of one of the colourant
      const dropMl = count ? (ml * (letDown + 1)) / count : one.dropMl;
      wanted.set(key, {
        ...one,
        grams: one.grams + grams,
        ml: one.ml + ml,
        drops: one.drops + (count ?? 0),
        dropMl,
      });
    }
  return [...wanted.values()].map(({ drops, dropMl, ml, ...thin }): ToldThinned => {
    if (!drops) return { ...thin, grams: thin.grams * (1 + KEPT), clearMl: ml * thin.letDown * (1 + KEPT) };
    const count = Math.ceil((drops + KEPT_DROPS) / (thin.letDown + 1));
    return { ...thin, count, grams: (thin.grams / ml) * count * dropMl, clearMl: count * dropMl * thin.letDown };
  });
}
