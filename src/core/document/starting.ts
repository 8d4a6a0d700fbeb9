import { boxOf } from './board';
import { hasBeach, startingSea, type StartingSea } from './seas';
import { startingMethod, startingResin, startingRoom, startingSettings, startingVessels } from './defaults';
import type { Coat, Colourant, Edge, Piece, Shape, Studio, Surface, Tint, Use } from './schema';

/**
 * Colourants of ordinary strength, by pigment and form. k and s are starting values of the trade until a smear of
 * one's own is measured.
 */
export const startingColourants: Colourant[] = [
  {
    id: 'phthalo-blue',
    name: 'Phthalo blue tint',
    kind: 'liquid pigment',
    density: 1.1,
    solids: 0.15,
    dropMl: 0.025,
    absorb: [900, 200, 40],
    scatter: [4, 6, 10],
  },
  {
    id: 'turquoise',
    name: 'Turquoise tint',
    kind: 'liquid pigment',
    density: 1.1,
    solids: 0.15,
    dropMl: 0.025,
    absorb: [700, 60, 100],
    scatter: [5, 8, 8],
  },
  { id: 'white-paste', name: 'White paste', kind: 'paste', density: 1.7, solids: 0.3, absorb: [0.2, 0.2, 0.2], scatter: [250, 250, 250] },
];

/** A slope of five, deep to shore: even steps of lightness at 2 mm over a white ground, turning to turquoise inshore. */
const startingTints: Tint[] = [
  ['Deep', 0.002239, 0.000249],
  ['Offshore', 0.001218, 0.000406],
  ['Mid', 0.000624, 0.000416],
  ['Shallow', 0.000267, 0.000327],
  ['Shore', 0.000074, 0.000174],
].map(([name, blue, turquoise]) => ({
  name: name as string,
  recipe: [
    { colourantId: 'phthalo-blue', load: blue as number },
    { colourantId: 'turquoise', load: turquoise as number },
  ],
}));

/** Parts of a starting sea. */
const PARTS = startingTints.length;

/** What is asked of someone who puts a new board on the table. */
export interface BoardAnswers {
  name: string;
  count: number;
  use: Use;
  shape: Shape;
  thickness: number;
  surface: Surface;
  edge: Edge;
  wallHeight?: number;
  tapeOff?: NonNullable<Piece['tapeOff']>;
  holes?: Piece['holes'];
  clock?: NonNullable<Piece['clock']>;
  hangerKg?: number;
  resinId: string;
}

/** The answers a new board starts from: an ordinary panel, primed. */
export const startingBoard = (resinId: string): BoardAnswers => ({
  name: '',
  count: 1,
  use: 'wall',
  shape: { kind: 'rectangle', width: 400, height: 300 },
  thickness: 18,
  surface: { material: 'raw wood', primer: 'gesso', primerCoats: 3 },
  edge: 'run over',
  resinId,
});

/** Only parts whose colourant is on the shelf. */
const onShelf = (tint: Tint, colourants: Colourant[]): Tint => ({
  ...tint,
  recipe: tint.recipe.filter((part) => colourants.some((c) => c.id === part.colourantId)),
});

/** White that laces: 6 % of paste, or all the resin's maker allows. */
const startingWhite = (loadLimit: number): Tint => ({
  name: 'White',
  recipe: [{ colourantId: 'white-paste', load: Math.min(0.06, loadLimit) }],
});

/** A coat of a kind with its ordinary figures. @param n parts of the sea */
export function startingCoat(
  kind: Coat['kind'],
  coatId: string,
  resinId: string,
  n: number,
  studio: Pick<Studio, 'colourants' | 'resins'>,
): Coat {
  const base = { id: coatId, resinId };
  const limit = studio.resins.find((r) => r.id === resinId)?.loadLimit ?? 0.06;
  const tint = (t: Tint): Tint => onShelf(t, studio.colourants);
  const picked = (i: number): Tint => startingTints[n > 1 ? Math.round((i * (startingTints.length - 1)) / (n - 1)) : 0]!;
  switch (kind) {
    case 'seal':
      return { ...base, kind, samePour: false, film: 0.5 };
    case 'base':
      return {
        ...base,
        kind,
        samePour: false,
        film: 1,
        tint: tint({ name: 'Base', recipe: [{ colourantId: 'white-paste', load: Math.min(0.06, limit) }] }),
      };
    case 'sand':
      return { ...base, kind, samePour: false, film: 2, sandPerResin: 1.5, taper: 24 };
    case 'sea':
      return { ...base, kind, samePour: true, film: 2, tints: Array.from({ length: n }, (_, i) => tint(picked(i))) };
    case 'wave':
      return {
        ...base,
        kind,
        samePour: true,
        lines: 3,
        lineWidth: 5,
        lineHeight: 1.5,
        reachSea: 40,
        reachUp: 15,
        passes: 2,
        white: tint(startingWhite(limit)),
      };
    case 'glaze':
      return { ...base, kind, samePour: false, film: 0.7, tint: tint({ ...startingTints[3]!, name: 'Glaze' }) };
    case 'clear':
      return { ...base, kind, samePour: false, film: 1 };
    case 'top':
      return { ...base, kind, samePour: false, cover: 0.6 };
  }
}

/** A new piece: the board as answered, a starting sea fitted to it, and the coats of a first pour with a top; sand where there is a beach. */
export function startingPiece(
  id: string,
  answers: BoardAnswers,
  studio: Pick<Studio, 'colourants' | 'resins'>,
  sea: StartingSea = 'open shore',
): Piece {
  const { resinId, ...board } = answers;
  const drawn = startingSea(sea, boxOf(board.shape), PARTS - 1);
  const beach = hasBeach(sea);
  const kinds: Coat['kind'][] = beach ? ['sand', 'sea', 'wave', 'top'] : ['sea', 'wave', 'top'];
  return {
    id,
    holes: [],
    ...board,
    sea: drawn,
    coats: kinds.map((kind) => {
      const coat = startingCoat(kind, `${id.slice(0, 50)}-${kind}`, resinId, PARTS, studio);
      const breaker = drawn.breakers?.[0];
      return coat.kind === 'wave' && !beach && breaker ? { ...coat, along: breaker.id } : coat;
    }),
  };
}

/** A studio with nothing in it but ordinary materials and habits. */
export const emptyStudio = (): Studio => ({
  format: 'nerite-studio',
  version: 2,
  settings: startingSettings,
  method: startingMethod,
  rooms: [startingRoom],
  resins: [startingResin],
  colourants: startingColourants,
  pieces: [],
  pours: [],
  vessels: startingVessels,
  stock: [],
  slopes: [],
});
