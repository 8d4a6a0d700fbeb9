import { back, hasBeach, otherHand, rehanded, startingSea, turns, type StartingSea } from '#core/craft';
import { boxOf, mapSea, type Piece, type Point, type Side } from '#core/document';
import { withSea } from './parts';
import { tenth } from './tenth';

/**
 * A piece with one of the starting seas drawn on it. Where that has no shore, waves that broke on one break on its own
 * line, and those of a line that is gone break on the shore again.
 */
export function withStartingSea(piece: Piece, name: StartingSea): Piece {
  const drawn = startingSea(name, boxOf(piece.shape), piece.sea.edges.length, piece.sea.side);
  const next = withSea(piece, { ...drawn, ...(piece.sea.areas && { areas: piece.sea.areas }) });
  const line = hasBeach(name) ? undefined : next.sea.breakers?.[0];
  if (!line) return next;
  return { ...next, coats: next.coats.map((c) => (c.kind === 'wave' && c.along === undefined ? { ...c, along: line.id } : c)) };
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
