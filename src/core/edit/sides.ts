import { back, hasBeach, otherHand, rehanded, startingSea, turns, type StartingSea } from '#core/craft';
import { boxOf, mapSea, type Piece, type Point, type Side, type Studio } from '#core/document';
import { cutBoard } from '#core/geometry';
import { newCoatId, withoutCoat } from './coats';
import { sideFor } from './handle';
import { startingCoat } from './new-piece';
import { withSea } from './parts';
import { tenth } from './tenth';

/** A part of the sea or a beach smaller than this share of the board is no room to pour in. */
const ROOM = 0.01;

/** Why a starting sea does not fit a board, in a sentence; undefined where it does. @param parts of the sea */
export function seaMisfit(
  name: StartingSea,
  { shape, holes }: Pick<Piece, 'shape' | 'holes'>,
  parts: number,
  side: Side = 'far',
): string | undefined {
  const { beach, sea, cover } = cutBoard(shape, holes, startingSea(name, boxOf(shape), parts - 1, side));
  const small = [...(hasBeach(name) ? [beach] : []), ...sea].filter((r) => r.area < ROOM * cover.area).length;
  if (!small) return undefined;
  const called = name[0]!.toUpperCase() + name.slice(1);
  return `${called} does not fit this shape: ${small === 1 ? 'one of its parts has' : `${small} of its parts have`} no room. Turn it to another side, take fewer tints, or begin with another sea.`;
}

/** Whether a piece was planned without a beach: no coat is for one, and its waves break on lines of their own. */
const isBeachless = ({ coats }: Piece): boolean => {
  const waves = coats.filter((c) => c.kind === 'wave');
  return !coats.some((c) => c.kind === 'sand') && waves.length > 0 && waves.every((c) => c.along !== undefined);
};

/** A piece with the coat of a beach below its sea, and poured with it. */
function withSand(piece: Piece, studio: Pick<Studio, 'colourants' | 'resins'>): Piece {
  const at = piece.coats.findIndex((c) => c.kind === 'sea');
  const sea = piece.coats[at];
  if (!sea || sea.lies) return piece;
  const sand = startingCoat('sand', newCoatId(piece, 'sand'), sea.resinId, piece.sea.edges.length + 1, studio);
  const coats = [
    ...piece.coats.slice(0, at),
    { ...sand, samePour: sea.samePour },
    { ...sea, samePour: true },
    ...piece.coats.slice(at + 1),
  ];
  return { ...piece, coats };
}

/**
 * A piece with one of the starting seas drawn on it, and the coats that go with it: where it has no shore its waves break on
 * a line of their own and no beach is laid; where it has one again, both are as they were. Sky and land stay.
 */
export function withStartingSea(piece: Piece, name: StartingSea, studio: Pick<Studio, 'colourants' | 'resins'>): Piece {
  const edges = piece.sea.edges.length;
  const side = sideFor(name, piece.shape, edges + 1, piece.sea.side);
  const drawn = startingSea(name, boxOf(piece.shape), edges, side);
  const next = withSea(piece, { ...drawn, ...(piece.sea.areas && { areas: piece.sea.areas }) });
  if (hasBeach(name)) return isBeachless(piece) ? withSand(next, studio) : next;
  const line = next.sea.breakers?.[0];
  const bare = next.coats.filter((c) => c.kind === 'sand' && !c.over).reduce((p, c) => withoutCoat(p, c.id), next);
  return { ...bare, coats: bare.coats.map((c) => (line && c.kind === 'wave' && c.along === undefined ? { ...c, along: line.id } : c)) };
}

/** Every place of a piece's drawing moved, dressings too. */
const mapDrawing = (piece: Piece, to: (p: Point) => Point): Piece => ({
  ...piece,
  sea: mapSea(piece.sea, to),
  ...(piece.dressings && { dressings: piece.dressings.map((d) => ({ ...d, ...to(d) })) }),
});

/** A piece with its beach on another side: the drawing is turned and fitted to the board. */
export function withSide(piece: Piece, side: Side): Piece {
  const [w, h] = boxOf(piece.shape);
  const from = piece.sea.side;
  const moved = mapDrawing(piece, ({ x, y }) => {
    const p = turns[side](back[from]({ x: x / w, y: y / h }));
    return { x: tenth(p.x * w), y: tenth(p.y * h) };
  });
  return { ...moved, sea: { ...rehanded(moved.sea, from, side), side } };
}

/** A piece with its drawing mirrored along the shore: what was at its left is at its right. */
export function mirrored(piece: Piece): Piece {
  const [w, h] = boxOf(piece.shape);
  const upright = piece.sea.side === 'left' || piece.sea.side === 'right';
  const moved = mapDrawing(piece, ({ x, y }) => (upright ? { x, y: tenth(h - y) } : { x: tenth(w - x), y }));
  const turned = (line: Point[]): Point[] => [...line].reverse();
  const sea = otherHand(moved.sea);
  return {
    ...moved,
    sea: {
      ...sea,
      shoreline: turned(sea.shoreline),
      edges: sea.edges.map(turned),
      ...(sea.breakers && { breakers: sea.breakers.map((b) => ({ ...b, points: turned(b.points) })) }),
      ...(sea.bare && { bare: turned(sea.bare) }),
    },
  };
}
