import { cupKey, type PourEvent, type Told, type ToldCup } from '#core/document';

/** What was put into one cup, g: clear filled into it, sand, and each colourant. */
export interface CupWeights {
  fill?: number;
  sand?: number;
  colourants: Map<string, number>;
}

/** What was weighed for one batch, g; what was never on the scale is left out. */
export interface Weights {
  aG?: number;
  bG?: number;
  /** By the key of the cup. */
  cups: Map<string, CupWeights>;
}

const cupOf = (cups: Map<string, CupWeights>, key: string): CupWeights => {
  const known = cups.get(key);
  if (known) return known;
  const own: CupWeights = { colourants: new Map() };
  cups.set(key, own);
  return own;
};

/** Cups of the version before by the names its events gave them. */
const oldCup = (told: Told, was: string): ToldCup | undefined => told.cups.find((c) => c.was === was);

/**
 * What was weighed for a batch, take by take, each added to those before it of the same thing. Weights of one batch are
 * never those of another.
 * @param events that stand
 */
export function weightsOf(events: PourEvent[], told: Told, batch: number): Weights {
  const weights: Weights = { cups: new Map() };
  for (const event of events) {
    if (event.kind === 'mixed' && event.batch === batch) {
      if (event.aG !== undefined) weights.aG = event.aG;
      if (event.bG !== undefined) weights.bG = event.bG;
    }
    if (event.kind === 'tinted') {
      const cup = oldCup(told, event.cup);
      // each of the older events holds all that is in the cup by then
      if (cup?.batch === batch) cupOf(weights.cups, cupKey(cup.id)).colourants.set(event.colourantId, event.grams);
    }
    if (event.kind !== 'weighed' || event.batch !== batch) continue;
    const { what, grams, cup, colourantId } = event;
    if (what === 'A') weights.aG = (weights.aG ?? 0) + grams;
    else if (what === 'B') weights.bG = (weights.bG ?? 0) + grams;
    else if (cup) {
      const own = cupOf(weights.cups, cupKey(cup));
      if (what === 'fill') own.fill = (own.fill ?? 0) + grams;
      else if (what === 'sand') own.sand = (own.sand ?? 0) + grams;
      else if (colourantId !== undefined) own.colourants.set(colourantId, (own.colourants.get(colourantId) ?? 0) + grams);
    }
  }
  return weights;
}
