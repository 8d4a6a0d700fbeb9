/** What several things that belong together in proportion need, once some of them are in the cup. */
export interface Proportioned {
  /** How much larger the whole becomes than was planned; 1 while nothing is over. */
  k: number;
  /** What each needs in all, g. */
  target: number[];
}

/**
 * Rescue by proportion: what is over stays, and everything grows to it. Holds for A and B, and for a cup and its
 * colourants, where the cup then needs clear. Followed to the end it restores every proportion exactly.
 * @param planned what was planned of each, g, above 0
 * @param inside  what is in the cup of each, g; undefined before it was weighed
 * @param slack   how much over each may be without the rest growing, g
 */
export function proportioned(planned: number[], inside: (number | undefined)[], slack: number[]): Proportioned {
  const k = planned.reduce((most, p, i) => {
    const is = inside[i];
    return is !== undefined && is - p > slack[i]! ? Math.max(most, is / p) : most;
  }, 1);
  return { k, target: planned.map((p) => k * p) };
}
