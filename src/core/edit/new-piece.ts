import { kinds } from '#core/coat';
import { hasBeach, onShelf, startingSea, startingTints, type StartingSea } from '#core/craft';
import { boxOf, type Beach, type Coat, type Edge, type Piece, type Shape, type Studio, type Surface, type Use } from '#core/document';
import { beachOf } from './beach';
import { sideFor } from './handle';

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

/** Boards are sold in round sizes of where they are sold, mm: 400 × 300 × 18, or 16 × 12 × ¾ in. */
const panels = { metric: [400, 300, 18], inches: [406.4, 304.8, 19.05] } as const;

/** The answers a new board starts from: an ordinary panel, primed. @param sold in which sizes boards are sold there */
export const startingBoard = (resinId: string, sold: keyof typeof panels = 'metric'): BoardAnswers => ({
  name: '',
  count: 1,
  use: 'wall',
  shape: { kind: 'rectangle', width: panels[sold][0], height: panels[sold][1] },
  thickness: panels[sold][2],
  surface: { material: 'raw wood', primer: 'gesso', primerCoats: 3 },
  edge: 'run over',
  resinId,
});

/** A coat of a kind with its ordinary figures. @param parts of the sea */
export function startingCoat(
  kind: Coat['kind'],
  coatId: string,
  resinId: string,
  parts: number,
  { colourants, resins }: Pick<Studio, 'colourants' | 'resins'>,
): Coat {
  const resin = resins.find((r) => r.id === resinId);
  return kinds[kind].starts({
    base: { id: coatId, resinId },
    parts,
    limit: resin?.loadLimit ?? 0.06,
    resin,
    onShelf: (tint) => onShelf(tint, colourants),
  });
}

/** A new piece: the board as answered, a starting sea fitted to it, and the coats of a first pour with a top; a beach where there is one. */
export function startingPiece(
  id: string,
  answers: BoardAnswers,
  studio: Pick<Studio, 'colourants' | 'resins'>,
  sea: StartingSea = 'open shore',
  laid: Beach | 'bare' = 'in resin',
): Piece {
  const { resinId, ...board } = answers;
  const side = sideFor(sea, board.shape, PARTS, board.shape.kind === 'plank' ? 'left' : 'far');
  const drawn = startingSea(sea, boxOf(board.shape), PARTS - 1, side);
  const beach = hasBeach(sea);
  const kinds: Coat['kind'][] = beach && laid !== 'bare' ? ['sand', 'sea', 'wave', 'top'] : ['sea', 'wave', 'top'];
  return {
    id,
    holes: [],
    ...board,
    sea: drawn,
    coats: kinds.map((kind) => {
      const coat = startingCoat(kind, `${id.slice(0, 50)}-${kind}`, resinId, PARTS, studio);
      const breaker = drawn.breakers?.[0];
      if (coat.kind === 'sand' && laid !== 'bare' && laid !== 'in resin') return beachOf(coat, laid, studio.colourants);
      return coat.kind === 'wave' && !beach && breaker ? { ...coat, along: breaker.id } : coat;
    }),
  };
}
