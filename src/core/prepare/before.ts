import { dryingOf, edgeOf, handsOn, materials } from '#core/craft';
import { holesOf, type Drying, type Edge, type Method, type Piece, type Surface } from '#core/document';

/** One thing to do to a board before or after its resin, why, and how long it takes with its wait. */
export interface Work {
  does: string;
  why: string;
  /** Its wait included. */
  hours: number;
  /** Of those, hands on it. */
  hands: number;
  /** A caution that belongs to it. */
  caution?: string;
}

/** Time a step takes, its wait and the hands in it; a wait is never shorter than the hands. h */
export function spent(method: Method, step: keyof Drying, times = 1): { hours: number; hands: number } {
  const hours = dryingOf(method)[step];
  return { hours: times * hours, hands: times * Math.min(hours, handsOn[step] / 60) };
}

const DUST = 'Wear a fine-particle mask for sanding dust.';
const sheet = 'Its safety sheet decides on gloves and air.';

const coats = (n: number): string => (n === 1 ? 'once' : n === 2 ? 'twice' : `${n} times`);

function surfaceWork({ surface }: Piece, method: Method): Work[] {
  const facts = materials[surface.material];
  const list: Work[] = [];
  if (surface.doubled)
    list.push({
      does: 'Glue a second sheet on, and leave both under weight.',
      why: 'One thin sheet warps under resin.',
      ...spent(method, 'doubling'),
    });
  if (surface.material === 'canvas')
    list.push({
      does: 'Brace the canvas from below with a board cut to the inside of its frame.',
      why: 'It sags in the middle under wet resin.',
      ...spent(method, 'mask'),
    });
  if (facts.thirsty && surface.material !== 'canvas')
    list.push({
      does: 'Sand along the grain to 180, and wipe off the dust.',
      why: 'Primer holds, and no fibre stands up.',
      ...spent(method, 'sand'),
      caution: DUST,
    });
  if (facts.glossy || surface.primer === 'scuff only')
    list.push({
      does: 'Degrease, then scuff where resin will go.',
      why: 'Resin peels from a shine.',
      ...spent(method, 'scuff'),
      caution: DUST,
    });
  if (surface.material === 'slate')
    list.push({ does: 'Brush off, degrease and let dry.', why: 'Dust and oil draw the film back.', ...spent(method, 'scuff') });
  return list;
}

function primerWork({ surface }: Piece, method: Method): Work[] {
  const n = surface.primerCoats;
  switch (surface.primer) {
    case 'gesso':
      return [
        {
          does: `Prime with gesso ${coats(n)}, dry between.`,
          why: 'Resin does not soak in, and blues stay bright.',
          ...spent(method, 'gesso', n),
        },
      ];
    case 'paint':
      return [
        {
          does: `Paint flat ${coats(n)}, dry between; grade it in the colours to come if you like.`,
          why: 'It hides the board and shows through the tints.',
          ...spent(method, 'paint', n),
        },
      ];
    case 'clear sealer':
      return [
        {
          does: `Seal clear ${coats(n)}, dry between.`,
          why: 'The board shows, and gives off no air.',
          ...spent(method, 'sealer', n),
          caution: sheet,
        },
      ];
    default:
      return [];
  }
}

function groundWork({ surface }: Piece, method: Method): Work[] {
  const list: Work[] = [];
  if (surface.relief)
    list.push({
      does: 'Lay the texture of paste and sand, and let it dry through.',
      why: 'Damp paste stays soft under resin.',
      ...spent(method, 'relief'),
    });
  if (surface.ground === 'foil')
    list.push({
      does: 'Lay the foil, press it flat, and seal its edges.',
      why: 'Air under it comes up as bubbles.',
      ...spent(method, 'foil'),
    });
  if (surface.ground === 'painted')
    list.push({
      does: 'Paint the ground that is to show through.',
      why: 'It is seen through every tint over it.',
      ...spent(method, 'painted'),
    });
  return list;
}

const undersides: Record<NonNullable<Surface['underside']>, { does: string; off: string } | undefined> = {
  none: undefined,
  tape: { does: 'Tape the back to a finger from the rim.', off: 'Peel the tape off the back, drips and all.' },
  film: { does: 'Stretch film over the back and tape it round.', off: 'Cut the film off the back.' },
  grease: { does: 'Grease the back thinly, and nothing above it.', off: 'Knock drips off the greased back, then degrease it.' },
  latex: { does: 'Brush latex on the back and let it go clear.', off: 'Peel the latex off the back.' },
};

const edges: Record<Edge, { before?: string; whyBefore?: string; amounts: string }> = {
  'run over': { amounts: 'A film down the side and what drips off are in every amount.' },
  taped: {
    before: 'Tape round the rim, its top edge level with the face.',
    whyBefore: 'The side stays clean.',
    amounts: 'Nothing runs over, so no drips are reckoned.',
  },
  dammed: {
    before: 'Dam the rim higher than the film, and seal its foot.',
    whyBefore: 'It holds more than a free edge does.',
    amounts: 'All of the film stays on; nothing drips.',
  },
  wall: {
    before: 'Run a fingertip round the foot of the wall: no gap.',
    whyBefore: 'Resin finds it.',
    amounts: 'All of the film stays in; the height left is shown in the section.',
  },
};

/** What the edge of a piece does to its amounts, in a sentence. */
export const edgeAmounts = (piece: Piece): string => edges[piece.edge].amounts;

/** Whether any coat ends at the rim otherwise than the board does. */
const edgesUsed = (piece: Piece): Edge[] => [...new Set([piece.edge, ...piece.coats.map((coat) => edgeOf(piece, coat))])];

function guardWork(piece: Piece, method: Method): Work[] {
  const list: Work[] = [];
  const open = holesOf(piece).filter((hole) => !hole.filled && hole.taped);
  const filled = piece.holes.filter((hole) => hole.filled);
  if (open.length)
    list.push({
      does: `Tape over ${open.length === 1 ? 'the hole' : `${open.length} holes`} from below, and plug from above.`,
      why: 'Resin runs down a hole and glues what is below.',
      ...spent(method, 'mask'),
    });
  if (filled.length)
    list.push({
      does: `Close ${filled.length === 1 ? 'the hole' : `${filled.length} holes`} from below; the first film fills what is above.`,
      why: 'Its volume is in the first cup.',
      ...spent(method, 'mask'),
    });
  const under = undersides[piece.surface.underside ?? 'none'];
  if (under) list.push({ does: under.does, why: 'What drips does not set on the back.', ...spent(method, 'mask') });
  for (const edge of edgesUsed(piece)) {
    const { before, whyBefore } = edges[edge];
    if (before) list.push({ does: before, why: whyBefore!, ...spent(method, 'mask') });
  }
  const glued = (piece.dressings ?? []).filter((d) => d.when === 'before resin');
  if (glued.length)
    list.push({
      does: `Glue on ${glued.length === 1 ? `the ${glued[0]!.kind}` : `${glued.length} pieces of dressing`} and let it hold.`,
      why: 'Nothing drifts when the sea is laid.',
      ...spent(method, 'glue'),
    });
  return list;
}

/** All there is to do to a board before its first pour, in order. */
export const workBefore = (piece: Piece, method: Method): Work[] => [
  ...surfaceWork(piece, method),
  ...primerWork(piece, method),
  ...groundWork(piece, method),
  ...guardWork(piece, method),
  {
    does: 'Set it on feet with air beneath, level both ways, cover at hand.',
    why: 'A film flows for as long as it is wet.',
    ...spent(method, 'mask'),
  },
];

/** Hours of a list of work, waits included. */
export const hoursBefore = (piece: Piece, method: Method): number => workBefore(piece, method).reduce((sum, w) => sum + w.hours, 0);

export const backOff = (piece: Piece): string | undefined => undersides[piece.surface.underside ?? 'none']?.off;
