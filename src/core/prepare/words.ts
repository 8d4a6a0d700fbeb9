import type { Edge, Piece, Surface } from '#core/document';
import type { Writes } from '#core/units';
import { filledHoles, gluedDressings, openHoles } from './before';
import type { Work, WorkKey } from './work';

/** What a piece of work asks of the hands, why, and a caution that belongs to it. */
export interface WorkWords {
  does: string;
  why: string;
  caution?: string;
}

const DUST = 'Wear a fine-particle mask for sanding dust.';
const SHEET = 'Its safety sheet decides on gloves and air.';

const times = (n: number): string => (n === 1 ? 'once' : n === 2 ? 'twice' : `${n} times`);
const holes = (n: number): string => (n === 1 ? 'the hole' : `${n} holes`);

const undersides: Record<Exclude<NonNullable<Surface['underside']>, 'none'>, { guard: string; free: string }> = {
  tape: { guard: 'Tape the back to a finger from the rim.', free: 'Peel the tape off the back, drips and all.' },
  film: { guard: 'Stretch film over the back and tape it round.', free: 'Cut the film off the back.' },
  grease: { guard: 'Grease the back thinly, and nothing above it.', free: 'Knock drips off the greased back, then degrease it.' },
  latex: { guard: 'Brush latex on the back and let it go clear.', free: 'Peel the latex off the back.' },
};
const underside = ({ surface }: Piece): { guard: string; free: string } =>
  surface.underside === undefined || surface.underside === 'none' ? { guard: '', free: '' } : undersides[surface.underside];

const words: Record<WorkKey, (piece: Piece, write: Writes) => WorkWords> = {
  'take up': () => ({
    does: 'Scuff what lies on it, wipe off the dust and let it dry.',
    why: 'Resin holds by itself only on a film within its window; on an older one it peels.',
    caution: DUST,
  }),
  double: () => ({ does: 'Glue a second sheet on, and leave both under weight.', why: 'One thin sheet warps under resin.' }),
  brace: () => ({
    does: 'Brace the canvas from below with a board cut to the inside of its frame.',
    why: 'It sags in the middle under wet resin.',
  }),
  sand: () => ({
    does: 'Sand along the grain to 180, and wipe off the dust.',
    why: 'Primer holds, and no fibre stands up.',
    caution: DUST,
  }),
  scuff: () => ({ does: 'Degrease, then scuff where resin will go.', why: 'Resin peels from a shine.', caution: DUST }),
  clean: () => ({ does: 'Brush off, degrease and let dry.', why: 'Dust and oil draw the film back.' }),
  gesso: ({ surface }) => ({
    does: `Prime with gesso ${times(surface.primerCoats)}, dry between.`,
    why: 'Resin does not soak in, and blues stay bright.',
  }),
  paint: ({ surface }) => ({
    does: `Paint flat ${times(surface.primerCoats)}, dry between; grade it in the colours to come if you like.`,
    why: 'It hides the board and shows through the tints.',
  }),
  seal: ({ surface }) => ({
    does: `Seal clear ${times(surface.primerCoats)}, dry between.`,
    why: 'The board shows, and gives off no air.',
    caution: SHEET,
  }),
  texture: () => ({ does: 'Lay the texture of paste and sand, and let it dry through.', why: 'Damp paste stays soft under resin.' }),
  foil: () => ({ does: 'Lay the foil, press it flat, and seal its edges.', why: 'Air under it comes up as bubbles.' }),
  'paint a ground': ({ surface }) => ({
    does: `Paint the ground that is to show through${(surface.colours?.length ?? 0) > 1 ? ', graded from the deep to the beach' : ''}.`,
    why: 'It is seen through every tint over it.',
  }),
  'cover holes': (piece) => ({
    does: `Tape over ${holes(openHoles(piece).length)} from below, and plug from above.`,
    why: 'Resin runs down a hole and glues what is below.',
  }),
  'close holes': (piece) => ({
    does: `Close ${holes(filledHoles(piece).length)} from below; the first film fills what is above.`,
    why: 'Its volume is in the first cup.',
  }),
  'guard the back': (piece) => ({ does: underside(piece).guard, why: 'What drips does not set on the back.' }),
  'tape the rim': () => ({ does: 'Tape round the rim, its top edge level with the face.', why: 'The side stays clean.' }),
  'dam the rim': () => ({ does: 'Dam the rim higher than the film, and seal its foot.', why: 'It holds more than a free edge does.' }),
  'feel the wall': () => ({ does: 'Run a fingertip round the foot of the wall: no gap.', why: 'Resin finds it.' }),
  'glue dressings': (piece) => {
    const glued = gluedDressings(piece);
    return {
      does: `Glue on ${glued.length === 1 ? `the ${glued[0]!.kind}` : `${glued.length} pieces of dressing`} and let it hold.`,
      why: 'Nothing drifts when the sea is laid.',
    };
  },
  'set up': () => ({
    does: 'Set it on feet with air beneath, level both ways, cover at hand.',
    why: 'A film flows for as long as it is wet.',
  }),
  'pull the tape': () => ({
    does: 'Pull the rim’s tape while the film is soft, away from the face and down.',
    why: 'It leaves a clean top edge; later it would chip it.',
  }),
  'peel the tape': () => ({
    does: 'Warm the rim’s tape and peel it after hardening.',
    why: 'A hard film lets go of tape without being dragged along.',
  }),
  'take off the dam': () => ({
    does: 'Cut along the dam and take it off; scrape its foot.',
    why: 'A torn dam takes a strip of film with it.',
  }),
  'wipe drips': () => ({
    does: 'Wipe drips from below while wet; what has set is warmed and scraped, or sanded.',
    why: 'A drip set below rocks the board.',
    caution: 'Scraping warm: mind the smoke alarm. Sanding: a fine-particle mask.',
  }),
  'wipe the wall': () => ({
    does: 'Wipe the inside of the wall clean before the film is tacky.',
    why: 'A smear there shows when it is dry.',
  }),
  'free the back': (piece) => ({ does: underside(piece).free, why: 'The back lies flat and can be finished.' }),
  'clear holes': () => ({
    does: 'Clear the holes: tape off, plug out, edge trimmed.',
    why: 'What hangs or turns in them has to pass.',
  }),
  'set out the dial': ({ clock }, write) => ({
    does: `Set out twelve hour marks on a circle of ${write.length(clock?.dial ?? 0)} from the middle, hanger straight up, and fit the movement.`,
    why: 'The hanger decides where twelve is.',
    caution: 'A movement that runs on mains has its own rules.',
  }),
  hang: ({ hangerKg = 0 }, write) => ({
    does: `Fit the hanger, rated ${write.heavy(hangerKg * 1000)}, above the middle.`,
    why: 'Its rating is checked against the finished weight.',
  }),
};

/** What a piece of work says, in the studio's units. */
export const sayWork = ({ key }: Pick<Work, 'key'>, piece: Piece, write: Writes): WorkWords => words[key](piece, write);

const edges: Record<Edge, string> = {
  'run over': 'A film down the side and what drips off are in every amount.',
  taped: 'Nothing runs over, so no drips are counted.',
  dammed: 'All of the film stays on; nothing drips.',
  wall: 'All of the film stays in; the height left is shown in the section.',
};

/** What the edge of a piece does to its amounts, in a sentence. */
export const edgeAmounts = (piece: Piece): string => edges[piece.edge];
