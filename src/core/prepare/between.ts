import type { Brushed, Coat, Drying, Method, Piece, Repair } from '#core/document';
import { timeOf, type Work } from './work';
import type { WorkWords } from './words';

/** What is done to a board before one of its coats, with its time, h: something brushed on, or what went wrong below put right. */
export type BetweenWork = Pick<Work, 'hands' | 'wait'> & { coat: Coat } & ({ brushed: Brushed } | { repair: Repair });

const steps: Record<Brushed['kind'], keyof Drying> = { sealer: 'sealer', wash: 'paint', paint: 'paint' };

/** All that is put right and brushed on before coats that are still to be poured, in their order. */
export const workBetween = ({ coats }: Piece, method: Method): BetweenWork[] =>
  coats.flatMap((coat): BetweenWork[] => {
    const { brushed, repair, lies } = coat;
    if (lies) return [];
    return [
      ...(repair ? [{ coat, repair, hands: repair.hands, wait: repair.wait }] : []),
      ...(brushed ? [{ coat, brushed, ...timeOf(method, steps[brushed.kind]) }] : []),
    ];
  });

/** What it asks of the hands. @param before the name of the coat that comes on it */
export function sayBetween(work: BetweenWork, before: string): WorkWords {
  if ('repair' in work)
    return { does: `Before ${before}: ${work.repair.does}`, why: 'What is wrong below shows through every coat above it.' };
  const dry = 'let it dry through';
  return {
    sealer: { does: `Brush the sealer on before ${before}, and ${dry}.`, why: 'What is below it stays apart from what comes.' },
    wash: { does: `Brush the wash on thinly before ${before}, and ${dry}.`, why: 'Water left in it clouds the resin.' },
    paint: { does: `Paint over it before ${before}, and ${dry}.`, why: 'It hides what is below; damp paint stays soft under resin.' },
  }[work.brushed.kind];
}
