/** A cut that was given up: its curves cross too often, or no grid gives an order of their crossings. */
export class CutError extends Error {
  override name = 'CutError';
  constructor(
    /** Key of the curve that most of it is due to, where it is one's own doing. */
    readonly curve?: string,
    options?: ErrorOptions,
  ) {
    super('These curves cross too often to be cut.', options);
  }
}

/**
 * Steps of the sweep that work with curves may come to. A drawn sea has some thousand, three curves tangled at all their
 * points come to half a million. The most takes about a second, on a slow tablet two.
 */
export const allowances = { cut: 1_500_000, plan: 2_500_000, outline: 1_000_000 } as const;

/** What is left of the allowance at hand; undefined where nothing is lent. The sweep counts deep inside a library, so it stands here. */
let left: number | undefined;

/** Does work on an allowance. Work that stands in other work goes on that one's. */
export function lent<T>(allowance: number, work: () => T): T {
  if (left !== undefined) return work();
  left = allowance;
  try {
    return work();
  } finally {
    left = undefined;
  }
}

/** Spends steps. @throws CutError where the allowance is used up */
export function spend(steps = 1): void {
  if (left === undefined) return;
  left -= steps;
  if (left < 0) throw new CutError();
}
