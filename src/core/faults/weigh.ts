import type { Fault } from '#core/document';
import type { Writes } from '#core/units';
import { causes, type Cause, type Evidence } from './causes';
import type { Facts } from './facts';

/** A cause as this pour's record supports it. */
export interface Weighed {
  id: Cause['id'];
  says: string;
  /** Share of it among the causes of the fault, 0 to 1. */
  share: number;
  /** The usual one where it is the likeliest and nothing that was written down speaks for it. */
  how: 'most likely' | 'the usual one' | 'possible' | 'unlikely';
  for: Evidence[];
  against: Evidence[];
  /** What was not written down, or decides nothing. */
  open: Evidence[];
  tell: string;
}

/** From this share on a cause is the most likely, and under the second it is unlikely. */
const [LIKELY, UNLIKELY] = [0.4, 0.12];

/**
 * Causes of what is seen, those the record supports the most first: how common each is, times what is for and against it (odds, as
 * of independent evidence; Good 1950), shared out to one.
 */
export function weighCauses(seen: Fault, facts: Facts, write: Writes): Weighed[] {
  const odds = causes[seen].map((cause) => {
    const evidence = cause.evidence(facts, write).filter((e): e is Evidence => Boolean(e));
    return { cause, evidence, odds: evidence.reduce((product, e) => product * e.odds, cause.usual) };
  });
  const all = odds.reduce((sum, o) => sum + o.odds, 0);
  return odds
    .map(({ cause, evidence, odds: own }): Weighed => {
      const share = own / all;
      return {
        id: cause.id,
        says: cause.says,
        share,
        how:
          share >= LIKELY
            ? evidence.some((e) => e.odds > 1)
              ? 'most likely'
              : 'the usual one'
            : share < UNLIKELY
              ? 'unlikely'
              : 'possible',
        for: evidence.filter((e) => e.odds > 1),
        against: evidence.filter((e) => e.odds < 1),
        open: evidence.filter((e) => e.odds === 1),
        tell: cause.tell,
      };
    })
    .sort((a, b) => b.share - a.share);
}
