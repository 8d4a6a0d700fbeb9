import type { Method, Resin } from '#core/document';
import { isPast } from '#core/units';
import type { CoatPlan } from './coats';
import { joinCups } from './joined';
import type { Bench } from './means';
import { divides, mixed, type Mixed } from './split';
import type { Step } from './steps';

/** A white that would be late is mixed for itself from this share of what is usually mixed at once: that is still mixed well. */
const ENOUGH = 0.5;

/** Whether the cups of a white's own wave are enough for a mixing of their own, where a studio divides at all. */
function standsAlone(coats: CoatPlan[], { id }: Step, method: Method): boolean {
  const wave = coats.find((c) => c.piece.id === id.piece && c.coat.id === id.coat);
  const grams = wave?.cups.reduce((sum, c) => sum + c.parts.aG + c.parts.bG, 0) ?? 0;
  return divides(method) && wave?.coat.kind === 'wave' && wave.coat.layAt === undefined && grams >= ENOUGH * (method.smallestMix ?? 0);
}

/**
 * Coats mixed with the cups they share. A white that would be past its window, when a later wave takes it or when the
 * films before it take long, is mixed anew for that wave.
 * @param coats  in the order they are laid
 * @param resins whose times are ages of a film
 */
export function mixedTogether(coats: CoatPlan[], resins: Resin[], bench: Omit<Bench, 'letDowns'>): Mixed {
  const joined = joinCups(coats, resins, bench);
  const result = mixed(joined.coats, resins, joined.bench);
  const whites = result.steps.filter((s) => s.id.does === 'white');
  const late = whites.find((step) => {
    const { white } = result.batches[step.batch]!.windows;
    const first = whites.find((w) => w.batch === step.batch);
    return (
      white &&
      white.until > white.from &&
      (first !== step || standsAlone(coats, step, bench.method)) &&
      isPast(step.at - step.mixedAt, white)
    );
  });
  const at = late ? coats.findIndex((c) => c.piece.id === late.id.piece && c.coat.id === late.id.coat) : -1;
  if (at < 0 || coats[at]!.coat.ownBatch) return result;
  return mixedTogether(
    coats.map((c, i) => (i === at ? { ...c, coat: { ...c.coat, ownBatch: true } } : c)),
    resins,
    bench,
  );
}
