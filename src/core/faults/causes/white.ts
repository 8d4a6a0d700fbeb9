import type { Fault } from '#core/document';
import { plain, writeShare } from '#core/units';
import { either, min, type Cause } from './cause';

const passesMany = (id: string, says: string, tell: string): Cause => ({
  id,
  says,
  usual: 3,
  tell,
  evidence: ({ passes }) => [
    passes && passes.made > passes.planned
      ? { says: `${passes.made} passes of heat were made, ${passes.planned} planned.`, odds: 2 + 2 * (passes.made - passes.planned) }
      : passes && { says: `${passes.made} ${passes.made === 1 ? 'pass' : 'passes'} of heat, as planned.`, odds: 0.4 },
  ],
});
const tooMuchWhite: Cause = {
  id: 'much white',
  says: 'Too much white on the board',
  usual: 3,
  tell: 'White stands thick, with a rim you can feel, and hides the blue below it.',
  evidence: ({ whiteShare, photo }) => [
    whiteShare === undefined
      ? undefined
      : either(
          true,
          whiteShare > 1.8,
          3,
          `${plain(whiteShare, 1)} times the white its reach takes was in the cup.`,
          `The cup held ${plain(whiteShare, 1)} times the white its reach takes.`,
        ),
    photo && photo.white > 0.25 && { says: `White covers ${writeShare(photo.white)} of the board in the photograph.`, odds: 1.8 },
  ],
};
const early = (tell: string): Cause => ({
  id: 'early',
  says: 'White was laid too early, while it was thin',
  usual: 3,
  tell,
  evidence: ({ white }) => [
    white &&
      either(
        true,
        white.at < white.from - 0.5,
        6,
        `White went out ${min(white.at)} after mixing, ${min(white.from - white.at)} before it was ready.`,
        `White went out ${min(white.at)} after mixing; it was ready from ${min(white.from)} on.`,
      ),
  ],
});
const late: Cause = {
  id: 'late',
  says: 'The resin was nearly set when it was blown',
  usual: 2,
  tell: 'White keeps the line it was laid in, with sharp edges, and does not spread under the hottest air.',
  evidence: ({ white }) => [
    white &&
      either(
        true,
        white.at > white.until,
        6,
        `White went out ${min(white.at)} after mixing, past its window by ${min(white.at - white.until)}.`,
        `White went out ${min(white.at)} after mixing, and could until ${min(white.until)}.`,
      ),
  ],
};
const notLevel: Cause = {
  id: 'level',
  says: 'The board did not lie level',
  usual: 3,
  tell: 'Lay the level on it now, both ways. The wave has moved downhill, and the film is thicker at that end.',
  evidence: ({ level }, write) => [
    level
      ? either(
          true,
          level.drift > 3,
          6,
          `It hung by ${plain(level.tilt, 2)}°, which moves this film about ${write.length(level.drift)} by morning.`,
          `It hung by ${plain(level.tilt, 2)}°, which moves this film by ${write.length(level.drift)}.`,
        )
      : { says: 'How level it lay was not written down.', odds: 1 },
    undefined,
  ],
};

/** What comes of the white: when it was laid, on what, and how it was moved. */
export const white = {
  'white gone pale blue': [
    {
      id: 'no barrier',
      says: 'White lay straight on the tint',
      usual: 3,
      tell: 'Blue has come up evenly through all of the white, at its edges no more than in its middle.',
      evidence: ({ under }) => [
        under &&
          either(
            true,
            under === 'none',
            5,
            'No clear was laid under it.',
            `A ${under === 'gap' ? 'bare gap' : 'clear line'} kept it from the tint.`,
          ),
      ],
    },
    early('Edges have blurred and run, and the line is wider than it was laid.'),
    passesMany('passes', 'Too many passes stirred it in', 'Pale only where the air went; white that was not blown is still white.'),
  ],
  'no cells': [
    {
      id: 'thick',
      says: 'White lies too thick to open',
      usual: 3,
      tell: 'A ridge of white you can feel. Where it is thin at its edge, there are some cells.',
      evidence: ({ whiteShare }) => [
        whiteShare === undefined
          ? undefined
          : either(
              true,
              whiteShare > 1.8,
              4,
              `${plain(whiteShare, 1)} times the white its reach takes was in the cup.`,
              `The cup held ${plain(whiteShare, 1)} times the white its reach takes.`,
            ),
      ],
    },
    late,
    {
      id: 'from above',
      says: 'It was blown from above, or not at all',
      usual: 2,
      tell: 'White is pressed flat in rings and not drawn out to sea.',
      evidence: ({ passes }) => [
        passes &&
          either(
            true,
            passes.made === 0,
            6,
            'No pass of heat was made.',
            `${passes.made} ${passes.made === 1 ? 'pass was' : 'passes were'} made.`,
          ),
      ],
    },
    {
      id: 'white',
      says: 'That white does not lace',
      usual: 1,
      tell: 'Pull a little of it on a card over clear and warm it: if no cell opens there, it is the white.',
      evidence: ({ additive }) => [additive === 'in it' ? { says: 'It had an additive for cells.', odds: 0.4 } : undefined],
    },
  ],
  'lacing took over': [
    tooMuchWhite,
    passesMany('passes', 'Too many passes', 'Cells run together and reach far out to sea, thinner the further they are.'),
    early('White ran by itself, before any air: its line is wide where it was not blown.'),
  ],
  'wave moved overnight': [
    notLevel,
    {
      id: 'thick film',
      says: 'A thick film, which flows for longer',
      usual: 2,
      tell: 'All of it has moved alike, tints with the white.',
      evidence: ({ film }, write) => [
        either(
          film > 0,
          film > 3,
          3,
          `The wet film was ${write.fine(film)} at its thickest.`,
          `The wet film was ${write.fine(film)} at its thickest, which is not much.`,
        ),
      ],
    },
    early('Only the white has moved, and its edges are soft.'),
  ],
  'dark tide mark': [
    {
      id: 'tilted back',
      says: 'It was tilted back off the beach',
      usual: 4,
      tell: 'The mark follows the furthest the sea has been, like a stain on a cup.',
      evidence: ({ tilted }) => [
        { says: tilted ? 'The board was tilted at the bench.' : 'No tilt was noted at the bench.', odds: tilted ? 5 : 0.5 },
      ],
    },
    {
      id: 'blown back',
      says: 'Tint washed up the beach with the foam and ran back',
      usual: 2,
      tell: 'The mark has foam in it, and is broken where no air went.',
      evidence: ({ passes, blended }) => [
        passes && passes.made > passes.planned && { says: `${passes.made} passes were made, ${passes.planned} planned.`, odds: 2 },
        blended > 0 && { says: 'White was pushed back from the sea, or tint laid over it.', odds: 2 },
      ],
    },
  ],
} satisfies Partial<Record<Fault, readonly Cause[]>>;
