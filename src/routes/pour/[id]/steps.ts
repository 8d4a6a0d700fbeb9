import type { Step } from '#core/plan';
import { fixed, plain, writeDuration, writeVolume, type VolumeUnit } from '#core/units';
import type { PourPlan } from '#core/plan';

/** What a step asks of the hands: one sentence to read at arm's length, and the figures that go with it. */
export interface Words {
  says: string;
  detail: string;
  /** What Done is called here. */
  does: string;
}

export function wordsOf(step: Step, plan: PourPlan, unit: VolumeUnit): Words {
  const ml = (value: number): string => writeVolume(value, unit);
  switch (step.kind) {
    case 'mix': {
      const { parts, resin, cups } = plan.batches[step.batch]!;
      return {
        says: 'Bring A and B together, and press as they meet.',
        detail: `A ${fixed(parts.aG, 1)} g or ${ml(parts.aMl)}, B ${fixed(parts.bG, 1)} g or ${ml(parts.bMl)}. Then stir slowly for ${writeDuration(resin.stirMin)}, walls and floor and paddle too, until no streak is left. Divide it into ${cups.length} cup${cups.length === 1 ? '' : 's'} and colour them.`,
        does: 'A and B are together',
      };
    }
    case 'pour':
      return {
        says:
          step.coat.coat.kind === 'sand'
            ? 'Lay the beach, thinner toward the water.'
            : step.coat.coat.kind === 'clear'
              ? 'Flood with clear and let it level.'
              : `Lay ${step.cup.name}${step.coat.coat.kind === 'sea' ? ', and draw it into its neighbour' : ''}.`,
        detail: `${ml(step.cup.ml)}${step.cup.sandG > 0 ? ` with ${plain(step.cup.sandG, 0)} g of sand stirred in` : ''} over ${plain(step.cup.area / 100, 0)} cm², ${fixed(step.coat.film, 1)} mm of film. A quick low heat pass takes the bubbles.`,
        does: 'Laid',
      };
    case 'white': {
      const [clear, white] = step.cups;
      return {
        says: 'Lay the clear line along the shore, then the white on it.',
        detail: `Clear ${ml(clear?.ml ?? 0)} in a line of ${plain(step.wave.lineWidth, 1)} mm, white ${ml(white?.ml ?? 0)}, thin and uneven. Start seaward of where it should end.`,
        does: 'White is laid',
      };
    }
    case 'heat':
      return {
        says: `Heat pass ${step.pass} of ${step.of}: push the white to sea.`,
        detail:
          'From the beach side, tool low and nearly flat. Warm a short length, push, move on. Look before the next pass: every one lowers contrast.',
        does: 'Pass done',
      };
    case 'done':
      return {
        says: 'Cover it, level, hands off.',
        detail: 'Cells go on opening for a while. Wipe drips below while they are wet.',
        does: 'The pour is done',
      };
  }
}

/** A step in a few words, for what comes next. */
export function shortOf(step: Step): string {
  switch (step.kind) {
    case 'mix':
      return 'Bring A and B together';
    case 'pour':
      return `Lay ${step.cup.name}`;
    case 'white':
      return 'Clear line and white';
    case 'heat':
      return `Heat pass ${step.pass}`;
    case 'done':
      return 'Cover it';
  }
}
