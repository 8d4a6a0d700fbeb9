import type { Method, WaveCoat } from '#core/document';
import type { Batch } from './batch';
import type { CoatPlan } from './coats';
import type { Cup } from './cups';

/** One thing to do at the bench. Minutes count from the first meeting of A and B in the pour. */
export type Step = {
  key: string;
  /** Planned clock minute at which it is done. */
  at: number;
  /** Which batch it uses, and the minute that batch was planned to be mixed. */
  batch: number;
  mixedAt: number;
} & (
  | { kind: 'mix' }
  | { kind: 'pour'; cup: Cup; coat: CoatPlan }
  | { kind: 'white'; cups: Cup[]; coat: CoatPlan; wave: WaveCoat }
  | { kind: 'heat'; pass: number; of: number }
  | { kind: 'done' }
);

/** The coats of a pour in the order they are laid: where the deep goes first, the sea comes before its own beach. */
export function inOrder(coats: CoatPlan[]): CoatPlan[] {
  const sea = coats.find((c) => c.coat.kind === 'sea' && c.coat.order === 'deep first');
  const beach = coats.find((c) => c.coat.kind === 'sand');
  if (!sea || !beach || coats.indexOf(beach) > coats.indexOf(sea)) return coats;
  return coats.map((c) => (c === sea ? beach : c === beach ? sea : c));
}

/**
 * The steps of a pour in the order its coats are given, with the minute each is planned for: stir by the maker's word, then
 * colour, then lay cup after cup; the wave waits for the minute its coat is planned at.
 */
export function planSteps(coats: CoatPlan[], batches: Batch[], method: Method): Step[] {
  const steps: Step[] = [];
  const mixedAt: number[] = [];
  let clock = 0;
  /** The batch of a cup, which is mixed first where it has not been. */
  const mixed = (cup: Cup): { batch: number; mixedAt: number } => {
    const batch = batches.findIndex(({ cups }) => cups.some((c) => c.key === cup.key));
    if (mixedAt[batch] === undefined) {
      mixedAt[batch] = clock;
      steps.push({ kind: 'mix', key: `mix/${batch}`, at: clock, batch, mixedAt: clock });
      const { resin, cups } = batches[batch]!;
      clock += resin.stirMin + method.colourMinPerCup * cups.filter((c) => c.doses.length || c.sandG).length;
    }
    return { batch, mixedAt: mixedAt[batch]! };
  };
  for (const coat of coats) {
    if (!coat.cups.length) continue;
    if (coat.coat.kind === 'wave') {
      const wave = coat.coat;
      const shared = mixed(coat.cups[0]!);
      clock = Math.max(clock, shared.mixedAt + wave.layAt);
      steps.push({ kind: 'white', key: coat.coat.id, at: clock, ...shared, cups: coat.cups, coat, wave });
      for (let pass = 1; pass <= wave.passes; pass++) {
        clock += method.heatMinPerPass;
        steps.push({ kind: 'heat', key: `${coat.coat.id}/heat/${pass}`, at: clock, ...shared, pass, of: wave.passes });
      }
    } else
      for (const cup of coat.cups) {
        const shared = mixed(cup);
        clock += method.layMinPerCup;
        steps.push({ kind: 'pour', key: cup.key, at: clock, ...shared, cup, coat });
      }
  }
  const last = steps.at(-1);
  if (last) steps.push({ kind: 'done', key: 'done', at: clock, batch: last.batch, mixedAt: last.mixedAt });
  return steps;
}
