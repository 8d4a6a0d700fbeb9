/** What is held of a figure before anything was observed, as its logarithm: its middle, how far studios differ from it, how far one pour does. */
export interface Prior {
  middle: number;
  /** Deviation from studio to studio, and from pour to pour, both of the logarithm. */
  between: number;
  within: number;
}

/** What is held of it after. */
export interface Posterior {
  middle: number;
  /** Half of the range in which 19 of 20 true values lie, of the logarithm. */
  half: number;
  /** Deviation from pour to pour, of the logarithm. */
  within: number;
}

/** Pours that the guess of how far one pour differs is worth. */
const WORTH = 4;

/** Student's quantile for 19 of 20, by degrees of freedom from 4 on (Cornish and Fisher 1937, to 2 %). */
function student(freedom: number): number {
  const z = 1.959964;
  return z + (z ** 3 + z) / (4 * freedom) + (5 * z ** 5 + 16 * z ** 3 + 3 * z) / (96 * freedom ** 2);
}

/**
 * Bayesian shrinkage of a figure toward what the trade takes it for: a normal prior on its logarithm, and a guess of the spread from
 * pour to pour that counts as four pours (Gelman and others 2013, *Bayesian Data Analysis*, ch. 3).
 * @param observed logarithms, one a pour
 */
export function shrunk(observed: readonly number[], { middle, between, within }: Prior): Posterior {
  const n = observed.length;
  const mean = n ? observed.reduce((a, b) => a + b, 0) / n : middle;
  const strayed = observed.reduce((sum, y) => sum + (y - mean) ** 2, 0);
  const freedom = WORTH + Math.max(0, n - 1);
  const variance = (WORTH * within ** 2 + strayed) / freedom;
  const [prior, data] = [1 / between ** 2, n / variance];
  return {
    middle: (prior * middle + data * mean) / (prior + data),
    half: student(freedom) / Math.sqrt(prior + data),
    within: Math.sqrt(variance),
  };
}

/** One observation so far from the others, in deviations of a pour, is a spill or a slip, and no rate. */
const SLIP = 4;

/** Observations without slips, as long as there are enough to tell them by. @returns those that are kept, and how many are not */
export function withoutSlips<T extends { log: number }>(observed: readonly T[], within: number): { kept: T[]; slips: number } {
  if (observed.length < 4) return { kept: [...observed], slips: 0 };
  const sorted = observed.map((o) => o.log).sort((a, b) => a - b);
  const middle = sorted[sorted.length >> 1]!;
  const strayed = sorted.map((log) => Math.abs(log - middle)).sort((a, b) => a - b);
  const usual = Math.max(within, 1.4826 * strayed[strayed.length >> 1]!);
  const kept = observed.filter((o) => Math.abs(o.log - middle) <= SLIP * usual);
  return { kept, slips: observed.length - kept.length };
}
