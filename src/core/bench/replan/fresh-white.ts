import { cupKey, stepKey, type ToldStep } from '#core/document';
import type { Bench } from '../bench';
import { MINUTE, minuteOf } from '../minutes';
import { retimed } from '../retime';
import { freshCup } from '../fresh';
import { isOf, planned, type Saying, type Way } from './way';

/** What lays a wave, before it is moved. */
export const LAYS_WAVE = new Set<ToldStep['id']['does']>(['additive', 'line', 'white']);

/** So much of the time that is left a fresh white may rest. */
const RESTS = 0.8;

/** Minutes the hands need from the first meeting of a fresh white's A and B until its first pass is made. */
export function needs(bench: Bench, step: ToldStep): number {
  const { method, resins } = bench.session.pour.planned;
  const resin = resins.find((r) => r.id === bench.session.told.batches[step.batch]?.resinId);
  return (resin?.stirMin ?? 3) + method.colourMinPerCup + method.layMinPerCup + method.heatMinPerPass;
}

/**
 * A white mixed anew for all that were to have the old one. It rests as long as the film below leaves it, and no longer than
 * it takes to gain body. Undefined where nothing is left of that film's time.
 * @param film minutes from now in which the film below can be moved, less what the hands need
 */
export function freshWhite(bench: Bench, steps: ToldStep[], film: number, said: Saying): Way | undefined {
  const { session, now } = bench;
  const { told } = session;
  const waits = (s: ToldStep): boolean => !session.doneAt.has(stepKey(s.id)) && steps.some((w) => isOf(s, w.id));
  const laysIt = (s: ToldStep): boolean => LAYS_WAVE.has(s.id.does) && waits(s);
  // what still comes before it takes its time first
  const begins = retimed(told, bench).steps.find(laysIt)?.at ?? 0;
  const left = film - Math.max(0, begins - minuteOf(session, now));
  const uses = steps.flatMap((s) => s.uses[0] ?? []);
  const cup = told.cups.find((c) => uses[0] && cupKey(c.id) === cupKey(uses[0].cup));
  const fresh =
    cup &&
    freshCup(
      bench,
      cup,
      uses.reduce((sum, u) => sum + u.ml, 0),
    );
  if (!fresh || left < 0) return undefined;
  const { white: ready, whiteBest: _, ...batch } = fresh.batch;
  const offset = Math.max(fresh.minutes, Math.min(fresh.minutes + RESTS * left, ready?.from ?? 0));
  const own = { batch: fresh.mix.batch, mixedAt: fresh.mix.at };
  const outOf = (s: ToldStep): ToldStep['uses'] => s.uses.map((u) => ({ ...u, cup: fresh.cup.id }));
  const changed = told.steps.map((s): ToldStep => {
    if (steps.includes(s)) return { ...s, ...own, at: fresh.mix.at + offset, uses: outOf(s) };
    return s.id.does === 'additive' && waits(s) ? { ...s, ...own, uses: outOf(s) } : s;
  });
  const first = changed.findIndex(laysIt);
  changed.splice(first, 0, fresh.mix);
  const thin = ready === undefined || offset < ready.from;
  return planned(
    bench,
    // one that cannot gain its body is told no window, and laid when it was told
    { ...told, steps: changed, cups: [...told.cups, fresh.cup], batches: [...told.batches, thin ? batch : fresh.batch] },
    {
      does: `Mix a fresh white, ${said.write.volume(fresh.cup.ml)}, and lay that.`,
      why: thin
        ? 'It cannot rest as long as it should: it runs further and blurs more. One pass, then look.'
        : 'It gains its body while there is still time to move it.',
      costs: [`${said.write.volume(fresh.batch.ml)} of ${fresh.batch.resin} more`],
      by: now + left * MINUTE,
    },
    said,
  );
}
