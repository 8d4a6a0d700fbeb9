import { hasBeach, startingSea, type StartingSea } from './seas';
import {
  boxOf,
  type Coat,
  type Colourant,
  type Edge,
  type Piece,
  type Shape,
  type Studio,
  type Surface,
  type Tint,
  type Use,
} from '#core/document';

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
