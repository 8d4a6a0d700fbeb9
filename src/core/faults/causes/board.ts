import type { Fault } from '#core/document';
import { either, min, type Cause } from './cause';

/** What comes of the board and of what is set on it. */
export const board = {
  'drips set below': [
    {
      id: 'not wiped',
      says: 'They were not wiped while wet',
      usual: 3,
      tell: 'Beads hang along the lower edge.',
      evidence: ({ wiped }) => [
        wiped === undefined
          ? undefined
          : either(
              true,
              !wiped,
              4,
              'The look at its level and drips after the pour was not ticked.',
              'The look at its level and drips after the pour was ticked.',
            ),
      ],
    },
    {
      id: 'no tape',
      says: 'Nothing below kept them off',
      usual: 3,
      tell: 'A film has crept in under the board, away from the edge.',
      evidence: ({ edge }) => [
        edge === 'run over'
          ? { says: 'The sea runs over the edge of this piece.', odds: 2 }
          : { says: `The edge was ${edge === 'wall' ? 'a wall' : edge}.`, odds: 0.3 },
      ],
    },
  ],
  'shells sank': [
    {
      id: 'early',
      says: 'They were set before the film held them',
      usual: 4,
      tell: 'All of them have gone down, the heavy ones the furthest.',
      evidence: ({ dressed }) => [
        dressed &&
          either(
            true,
            dressed.at < dressed.from,
            6,
            `They were set ${min(dressed.at)} after mixing; the film holds them from ${min(dressed.from)} on.`,
            `They were set ${min(dressed.at)} after mixing, and it holds them from ${min(dressed.from)} on.`,
          ),
      ],
    },
    {
      id: 'thick film',
      says: 'The film was deeper than they are high',
      usual: 2,
      tell: 'Low ones are gone and high ones stand.',
      evidence: ({ film }, write) => [film > 4 && { says: `The wet film was ${write.fine(film)}.`, odds: 3 }],
    },
  ],
} satisfies Partial<Record<Fault, readonly Cause[]>>;
