import type { Fault } from '#core/document';
import { plain, writeShare } from '#core/units';
import { either, passed, type Cause } from './cause';

const grease: Cause = {
  id: 'grease',
  says: 'Grease, wax or a fingerprint under the film',
  usual: 3,
  tell: 'A few pits, where it was touched or wiped. Silicone pits are many and round, all over the wave.',
  evidence: (facts) => [passed(facts, 'clean', 3, 'Wiping what lies on it')],
};
const silicone: Cause = {
  id: 'silicone',
  says: 'Silicone of a cell additive, in it or in the coat below',
  usual: 2,
  tell: 'Many round craters over where the white lies, and fewer away from it.',
  evidence: ({ additive }) => [
    additive === 'none'
      ? { says: 'No additive was in this pour or in what lies below it.', odds: 0.15 }
      : {
          says: additive === 'below' ? 'An additive lies in the wave below this coat.' : 'An additive was in this pour’s white.',
          odds: additive === 'below' ? 6 : 3,
        },
  ],
};
const heldStill: Cause = {
  id: 'held still',
  says: 'Heat held still in one place',
  usual: 4,
  tell: 'One or two hollows as wide as the nozzle, yellow in their middle.',
  evidence: ({ passes, flame }) => [
    passes?.longest !== undefined &&
      either(
        true,
        passes.longest > 1.5 * passes.usual,
        3,
        `The longest pass took ${plain(passes.longest, 0)} s; ${plain(passes.usual, 0)} s are planned.`,
        `No pass took longer than ${plain(passes.longest, 0)} s.`,
      ),
    flame && { says: 'A flame was used.', odds: 2 },
  ],
};

/** What is seen in the surface of a film, or under it. */
export const surface = {
  'pits, fish-eyes': [
    silicone,
    grease,
    {
      id: 'overheated',
      says: 'Overheated from above',
      usual: 1,
      tell: 'Pits lie along the path of the tool, with a matt or wrinkled skin round them.',
      evidence: ({ passes }) => [
        passes?.longest !== undefined &&
          either(
            true,
            passes.longest > 1.5 * passes.usual,
            3,
            `The longest pass took ${plain(passes.longest, 0)} s; ${plain(passes.usual, 0)} s are planned.`,
            `No pass took longer than ${plain(passes.longest, 0)} s.`,
          ),
      ],
    },
  ],
  'dimples, yellowing, smoke': [
    heldStill,
    {
      id: 'near',
      says: 'The tool was too near or too hot',
      usual: 2,
      tell: 'A row of shallow dimples along the whole path, none of them deep.',
      evidence: ({ flame, passes }) => [
        flame && { says: 'A flame was used.', odds: 2 },
        passes && passes.made > passes.planned && { says: `${passes.made} passes were made, ${passes.planned} planned.`, odds: 1.6 },
      ],
    },
  ],
  'bubbles from below': [
    {
      id: 'raw board',
      says: 'The board was not sealed and let air out',
      usual: 3,
      tell: 'Bubbles come in rows along the grain, over hours, also where there is no sand.',
      evidence: ({ thirsty, primed }) => [
        thirsty
          ? either(true, !primed, 6, 'The board soaks, and was not primed.', 'The board was primed before this pour.')
          : { says: 'This pour did not lie on bare board.', odds: 0.25 },
      ],
    },
    {
      id: 'sand',
      says: 'Dry sand let air out',
      usual: 2,
      tell: 'Bubbles only over the beach.',
      evidence: ({ sand }) => [{ says: sand ? 'Sand lies under this film.' : 'There is no sand on it.', odds: sand ? 2.5 : 0.05 }],
    },
    {
      id: 'whipped',
      says: 'Air stirred in, and no pass after laying',
      usual: 1,
      tell: 'Fine bubbles all over alike, most of them near the surface.',
      evidence: ({ air }, write) => [
        air.mean < 18 && { says: `It was ${write.temperature(air.mean)} on the mean: cold resin lets go of air slowly.`, odds: 2 },
      ],
    },
  ],
  'dust, hairs': [
    {
      id: 'no cover',
      says: 'It lay open while it was tacky',
      usual: 3,
      tell: 'Fluff on top of the film, some of it standing up.',
      evidence: (facts) => [passed(facts, 'place', 4, 'Its cover')],
    },
    {
      id: 'tool',
      says: 'The tool was not blown out first',
      usual: 2,
      tell: 'Dark specks in the path of the first pass, deep in the film.',
      evidence: (facts) => [passed(facts, 'tools', 4, 'Blowing the tool out')],
    },
  ],
  'coat peels': [
    {
      id: 'not scuffed',
      says: 'It was recoated late without a scuff',
      usual: 4,
      tell: 'It lifts in sheets, shiny below, with no mark of sandpaper.',
      evidence: ({ recoat }) => [
        recoat
          ? recoat.after > recoat.bonds
            ? recoat.scuffed
              ? { says: `It was poured ${plain(recoat.after, 0)} h after the one below, and a scuff was noted.`, odds: 0.3 }
              : {
                  says: `It was poured ${plain(recoat.after, 0)} h after the one below, which bonds by itself until ${plain(recoat.bonds, 0)} h; no scuff was noted.`,
                  odds: 8,
                }
            : {
                says: `It was poured ${plain(recoat.after, 0)} h after the one below, which bonds by itself until ${plain(recoat.bonds, 0)} h.`,
                odds: 0.15,
              }
          : { says: 'No pour lies below it in this log.', odds: 0.6 },
      ],
    },
    { ...silicone, usual: 1, tell: 'It never held over the wave, and holds well beside it.' },
    { ...grease, usual: 2, tell: 'It lifts where it was touched: at the edge, in the middle of the beach.' },
    {
      id: 'damp',
      says: 'A damp film below: haze, or amine blush',
      usual: 1,
      tell: 'The film below is greasy or dull when it is wiped with water.',
      evidence: ({ humidity }) => [
        humidity !== undefined &&
          either(
            true,
            humidity > 0.75,
            3,
            `The air was at ${writeShare(humidity)} relative humidity.`,
            `The air was at ${writeShare(humidity)} relative humidity at its dampest.`,
          ),
      ],
    },
  ],
} satisfies Partial<Record<Fault, readonly Cause[]>>;
