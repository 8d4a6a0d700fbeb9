import type { Resin, Vessel } from '#core/document';
import type { PiecePlan } from '#core/plan';

/** What may be done with mix that is left over, while it can still be worked. */
export type Suggestion =
  { kind: 'mould'; mould: Vessel; count: number; ml: number } | { kind: 'base'; piece: string; coat: string; ml: number; whole: boolean };

/** Less than this is not worth a mould, ml. */
const LEAST = 3;

/**
 * Uses for what is left over: the next pieces' bases and seals of the same resin first, then the largest moulds it fills.
 * @param ml    what is left over
 * @param plans of pieces on the table with the first pour that is still to come
 */
export function leftoverUses(ml: number, resin: Resin, plans: { plan: PiecePlan; pour: number }[], vessels: Vessel[]): Suggestion[] {
  const uses: Suggestion[] = [];
  let left = ml;
  for (const { plan, pour } of plans)
    for (const { coat, name, ml: needed } of plan.pours[pour]?.coats ?? []) {
      if (left < LEAST || coat.resinId !== resin.id || (coat.kind !== 'base' && coat.kind !== 'seal')) continue;
      const given = Math.min(left, needed);
      uses.push({ kind: 'base', piece: plan.piece.name, coat: name, ml: given, whole: given === needed });
      left -= given;
    }
  for (const mould of vessels.filter((v) => v.use === 'mould').sort((a, b) => b.holds - a.holds)) {
    const count = Math.min(mould.count, Math.floor(left / mould.holds));
    if (count < 1) continue;
    uses.push({ kind: 'mould', mould, count, ml: count * mould.holds });
    left -= count * mould.holds;
  }
  return uses;
}
