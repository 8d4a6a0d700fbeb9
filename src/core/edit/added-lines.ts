import { boxOf, isLine, type Coast, type Piece, type Point, type Sea } from '#core/document';
import { withoutLostAreas } from './areas';
import { freeId } from './ids';
import { tenth } from './tenth';

/** Curves added to a sea beside its shoreline and edges: islands, other beaches, breakers, the edge of the resin. */

const at = (w: number, h: number, shares: [number, number][]): Point[] => shares.map(([x, y]) => ({ x: tenth(x * w), y: tenth(y * h) }));

const withSeaChanged = (piece: Piece, change: Partial<Sea>): Piece => ({ ...piece, sea: { ...piece.sea, ...change } });

function withCoast(piece: Piece, closed: boolean, points: Point[], edges: Point[][]): Piece {
  const coasts = piece.sea.coasts ?? [];
  const coast: Coast = { id: freeId('coast', coasts), closed, points, edges };
  return withSeaChanged(piece, { coasts: [...coasts, coast] });
}

/** An island in the middle of the deep half, with an edge for each part of the sea. */
export function withIsland(piece: Piece): Piece {
  const [w, h] = boxOf(piece.shape);
  const middle: Record<Sea['side'], [number, number]> = { far: [0.68, 0.25], near: [0.68, 0.75], left: [0.25, 0.4], right: [0.75, 0.4] };
  const [cx, cy] = middle[piece.sea.side];
  const small = Math.min(w, h);
  const ring = (r: number): Point[] =>
    at(
      w,
      h,
      Array.from({ length: 7 }, (_, i): [number, number] => {
        const angle = (2 * Math.PI * i) / 7;
        return [cx + ((r * small) / w) * Math.cos(angle), cy + ((r * small) / h) * Math.sin(angle)];
      }),
    );
  return withCoast(
    piece,
    true,
    ring(0.08),
    piece.sea.edges.map((_, i) => ring(0.08 + (0.14 * (i + 1)) / piece.sea.edges.length)),
  );
}

/** A beach in the corner at the deep side and the right, its land on the right hand of its run. */
export function withCornerBeach(piece: Piece): Piece {
  const [w, h] = boxOf(piece.shape);
  const arch = (r: number): Point[] => {
    // from the far side round to the right one, for a far sea; other sides take it turned
    const far: [number, number][] = [
      [1 - r, 0],
      [1 - 0.93 * r, 0.42 * r],
      [1 - 0.66 * r, 0.78 * r],
      [1 - 0.3 * r, 0.97 * r],
      [1, r],
    ];
    const turned: [number, number][] = {
      far: [...far].reverse(),
      near: far.map(([x, y]): [number, number] => [x, 1 - y]),
      left: far.map(([x, y]): [number, number] => [1 - x, y]),
      right: [...far].reverse(),
    }[piece.sea.side];
    return at(w, h, turned);
  };
  return withCoast(
    piece,
    false,
    arch(0.25),
    piece.sea.edges.map((_, i) => arch(0.25 + (0.22 * (i + 1)) / piece.sea.edges.length)),
  );
}

/** A line along which a wave breaks out at sea: half way from the shore to the deep side. */
export function withBreaker(piece: Piece): Piece {
  const [w, h] = boxOf(piece.shape);
  const breakers = piece.sea.breakers ?? [];
  const id = freeId('breaker', breakers);
  const deep: Record<Sea['side'], (p: Point) => Point> = {
    far: ({ x, y }) => ({ x, y: y / 2 }),
    near: ({ x, y }) => ({ x, y: (y + h) / 2 }),
    left: ({ x, y }) => ({ x: x / 2, y }),
    right: ({ x, y }) => ({ x: (x + w) / 2, y }),
  };
  const points = piece.sea.shoreline.map(deep[piece.sea.side]).map((p) => ({ x: tenth(p.x), y: tenth(p.y) }));
  return withSeaChanged(piece, { breakers: [...breakers, { id, name: `breaker ${id.split('-')[1]}`, points }] });
}

/** An edge beyond which the land stays without resin: half way from the shore to the land side. */
export function withBareEdge(piece: Piece): Piece {
  const [w, h] = boxOf(piece.shape);
  const land: Record<Sea['side'], (p: Point) => Point> = {
    far: ({ x, y }) => ({ x, y: (y + h) / 2 }),
    near: ({ x, y }) => ({ x, y: y / 2 }),
    left: ({ x, y }) => ({ x: (x + w) / 2, y }),
    right: ({ x, y }) => ({ x: x / 2, y }),
  };
  return withSeaChanged(piece, { bare: piece.sea.shoreline.map(land[piece.sea.side]).map((p) => ({ x: tenth(p.x), y: tenth(p.y) })) });
}

/**
 * A piece without one of its added curves: an island, another beach, a breaker, a sky or a land with its coat, the edge of the
 * resin. The shoreline and its edges stay. A wave or a thread along a breaker that goes, goes along the shore.
 */
export function withoutLine(piece: Piece, key: string): Piece {
  const [kind, id] = key.split(':');
  const { bare: _, ...covered } = piece.sea;
  switch (kind) {
    case 'coast':
      return withSeaChanged(piece, { coasts: piece.sea.coasts?.filter((c) => c.id !== id) ?? [] });
    case 'breaker':
      return {
        ...withSeaChanged(piece, { breakers: piece.sea.breakers?.filter((b) => b.id !== id) ?? [] }),
        coats: piece.coats.map((coat) => {
          if (!isLine(coat) || coat.along !== id) return coat;
          const { along: _along, ...rest } = coat;
          return rest;
        }),
      };
    case 'area':
      return withoutLostAreas(withSeaChanged(piece, { areas: piece.sea.areas?.filter((a) => a.id !== id) ?? [] }));
    case 'bare':
      return { ...piece, sea: covered };
    default:
      return piece;
  }
}

/** An open beach with its land on the other hand. */
export const withLandSwapped = (piece: Piece, coastId: string): Piece =>
  withSeaChanged(piece, {
    coasts: (piece.sea.coasts ?? []).map((c) =>
      c.id === coastId && !c.closed ? { ...c, points: [...c.points].reverse(), edges: c.edges.map((e) => [...e].reverse()) } : c,
    ),
  });
