import type { Brushed, Coat, Drying, Method, Piece } from '#core/document';
import { timeOf, type Work } from './work';
import type { WorkWords } from './words';

/** What is brushed on a board before one of its coats, with its time, h. */
export interface BrushWork extends Pick<Work, 'hands' | 'wait'> {
  coat: Coat;
  brushed: Brushed;
}

const steps: Record<Brushed['kind'], keyof Drying> = { sealer: 'sealer', wash: 'paint', paint: 'paint' };

/** All that is brushed on before coats that are still to be poured, in their order. */
export const workBetween = ({ coats }: Piece, method: Method): BrushWork[] =>
  coats.flatMap((coat) =>
    coat.brushed && !coat.lies ? [{ coat, brushed: coat.brushed, ...timeOf(method, steps[coat.brushed.kind]) }] : [],
  );

/** What it asks of the hands. @param before the name of the coat that comes on it */
export function sayBrushed({ kind }: Brushed, before: string): WorkWords {
  const dry = 'let it dry through';
  return {
    sealer: { does: `Brush the sealer on before ${before}, and ${dry}.`, why: 'What is below it stays apart from what comes.' },
    wash: { does: `Brush the wash on thinly before ${before}, and ${dry}.`, why: 'Water left in it clouds the resin.' },
    paint: { does: `Paint over it before ${before}, and ${dry}.`, why: 'It hides what is below; damp paint stays soft under resin.' },
  }[kind];
}
