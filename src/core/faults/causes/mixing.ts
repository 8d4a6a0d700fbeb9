import type { Fault } from '#core/document';
import { RATIO_FLAG } from '#core/mix';
import { writeShare } from '#core/units';
import { either, min, type Cause } from './cause';

const ratioOff: Cause = {
  id: 'ratio',
  says: 'The ratio was off',
  usual: 3,
  tell: 'Soft all over alike, in every cup of the mixing: the ratio. Soft in streaks or along a cup’s last pour: stirring.',
  evidence: ({ ratio }) => [
    ratio === undefined
      ? { says: 'A and B were not weighed, so the ratio is not known.', odds: 1 }
      : Math.abs(ratio) >= RATIO_FLAG
        ? {
            says: `B was ${writeShare(Math.abs(ratio))} ${ratio > 0 ? 'too much' : 'too little'} as it was weighed.`,
            odds: Math.abs(ratio) >= 0.1 ? 12 : 5,
          }
        : { says: `The ratio was right to ${writeShare(Math.abs(ratio))} as it was weighed.`, odds: 0.1 },
  ],
};
const understirred: Cause = {
  id: 'stirred',
  says: 'Under-stirred, or what stuck to the wall of the cup was poured along',
  usual: 3,
  tell: 'Sticky streaks and spots beside hard film. The last of a cup, where it was scraped out, is the softest.',
  evidence: ({ stirred }) => [
    stirred &&
      either(
        true,
        stirred.took < stirred.wanted,
        5,
        `The first cup was poured ${min(stirred.took)} after A and B met; stirring alone wants ${min(stirred.wanted)}.`,
        `There were ${min(stirred.took)} between A and B and the first cup; stirring wants ${min(stirred.wanted)}.`,
      ),
  ],
};
const overloaded: Cause = {
  id: 'load',
  says: 'More colourant than the resin takes',
  usual: 2,
  tell: 'Only the strongest colour is soft, and what is clear beside it is hard.',
  evidence: ({ load }) => [
    load &&
      either(
        true,
        load.share > 1.001,
        8,
        `${load.cup} held ${writeShare(load.share)} of the colourant the maker allows.`,
        `The fullest cup, ${load.cup}, held ${writeShare(load.share)} of the colourant the maker allows.`,
      ),
  ],
};
const cold: Cause = {
  id: 'cold',
  says: 'A cold room',
  usual: 2,
  tell: 'It hardens when it is warmed for two days. A wrong ratio does not.',
  evidence: ({ air }, write) => [
    air.least < air.lowest
      ? {
          says: `It was ${write.temperature(air.least)} at the coldest over the day after, ${air.read ? 'as it was read' : 'as the room usually is'}; this resin hardens from ${write.temperature(air.lowest)} on.`,
          odds: air.read ? 8 : 4,
        }
      : {
          says: `It was never colder than ${write.temperature(air.least)}, ${air.read ? 'as it was read' : 'as the room usually is'}.`,
          odds: air.read ? 0.15 : 0.4,
        },
  ],
};

/** What comes of the cups: their ratio, their stirring, their tints. */
export const mixing = {
  'soft or sticky': [ratioOff, understirred, overloaded, cold],
  'tint ran out': [
    {
      id: 'short',
      says: 'The cup held less than the board took',
      usual: 3,
      tell: 'Other cups were left over: the tints were shared out wrong. None were: all was too little.',
      evidence: ({ short }) => [
        short.length
          ? { says: `More was mixed at the bench: ${short.join(', ')}.`, odds: 4 }
          : { says: 'Nothing more was mixed at the bench.', odds: 0.7 },
      ],
    },
    {
      id: 'run off',
      says: 'More ran off than was planned',
      usual: 2,
      tell: 'Weigh what lies below the board: it is more than the plan has for drips.',
      evidence: ({ edge }) => [
        {
          says: edge === 'run over' ? 'The sea runs over the edge of this piece.' : 'Nothing runs over this edge.',
          odds: edge === 'run over' ? 1.8 : 0.2,
        },
      ],
    },
  ],
  'muddy band': [
    {
      id: 'over-blended',
      says: 'Blended too long',
      usual: 3,
      tell: 'One grey-blue tone between two tints, with no thread of either left.',
      evidence: ({ tint, blended }) => [
        tint &&
          either(
            true,
            tint.at > tint.until,
            2.5,
            `Tints were still worked ${min(tint.at)} after mixing; they blend well until ${min(tint.until)}.`,
            `The last tint lay ${min(tint.at)} after mixing, in good time.`,
          ),
        blended > 0 && { says: 'Tint was laid over or white pushed back while it was wet.', odds: 2 },
      ],
    },
    {
      id: 'runny',
      says: 'Too runny, so that tints ran into each other',
      usual: 2,
      tell: 'It went on blending by itself after your hand was off it.',
      evidence: ({ air, film }, write) => [
        air.mean > 25 && { says: `It was ${write.temperature(air.mean)} on the mean, which thins resin.`, odds: 2 },
        film > 3 && { says: `The wet film was ${write.fine(film)}.`, odds: 1.8 },
      ],
    },
  ],
} satisfies Partial<Record<Fault, readonly Cause[]>>;
