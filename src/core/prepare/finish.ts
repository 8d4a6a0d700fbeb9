import type { Method, Piece } from '#core/document';
import type { Writes } from '#core/units';
import { workAfter } from './after';
import { sayWork } from './words';

/** One thing to do until a piece is with whoever it is for. */
export interface FinishStep {
  /** What the diary keeps it under, once it is done. */
  work: string;
  does: string;
  why: string;
  caution?: string;
}

const slug = (key: string): string => key.replaceAll(' ', '-');

/** All that is done after the last film is hard, in order: what its edge, its back and its fittings ask, then what every piece does. */
export function finishSteps(piece: Piece, method: Method, write: Writes): FinishStep[] {
  const own = workAfter(piece, method)
    .filter((w) => w.key !== 'pull the tape')
    .map((w) => ({ key: w.key as string, ...sayWork(w, piece, write) }));
  const every = [
    {
      key: 'tidy the back',
      does: 'Sand the back’s edge, wipe it, and paint or seal it.',
      why: 'A tidy back is what a buyer turns it round for.',
      caution: 'Wear a fine-particle mask for sanding dust.',
    },
    { key: 'sign', does: 'Sign it and date it, on the back or in a corner of the beach.', why: 'The log finds it by its date.' },
    { key: 'weigh', does: 'Weigh it, and write that beside it here.', why: 'Its hanger and its parcel go by it.' },
  ];
  return [
    ...[...own, ...every].map(({ key, ...words }) => ({ work: `${piece.id}/finish-${slug(key)}`, ...words })),
    {
      work: `${piece.id}/deliver`,
      does: 'Hand it over with its care card, after full hardness.',
      why: 'A film that is hard to the touch still marks under a hot cup.',
    },
  ];
}

/** What the diary has for a piece once all of its finishing is done but handing it over. */
export const finishedWork = (piece: Pick<Piece, 'id'>): string => `${piece.id}/finish`;
