import { boxOf, fittedSea } from './board';
import type { Coast, Dressing, DressingKind, Piece, Point, Sea, SeaCoat, Tint } from './schema';

/** Changes to what is drawn on a piece besides the points of its curves. */

const tenth = (mm: number): number => Math.round(mm * 10) / 10;
const at = (w: number, h: number, shares: [number, number][]): Point[] => shares.map(([x, y]) => ({ x: tenth(x * w), y: tenth(y * h) }));

/** "coast-3": the first of its kind that is not taken. */
export function freeId(stem: string, taken: { id: string }[]): string {
  let n = 1;
  while (taken.some((t) => t.id === `${stem}-${n}`)) n++;
  return `${stem}-${n}`;
}

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
 * A piece without one of its added curves: an island, another beach, a breaker, the edge of the resin. The shoreline and
 * its edges stay. A wave along a breaker that goes, goes along the shore.
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
          if (coat.kind !== 'wave' || coat.along !== id) return coat;
          const { along: _along, ...rest } = coat;
          return rest;
        }),
      };
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

/** A recipe part of the way from one to another. */
function mixedTint(a: Tint, b: Tint, t: number): Tint {
  if (t < 1e-9) return a;
  const ids = [...new Set([...a.recipe, ...b.recipe].map((p) => p.colourantId))];
  const load = (tint: Tint, id: string): number => tint.recipe.find((p) => p.colourantId === id)?.load ?? 0;
  return {
    name: t < 0.5 ? a.name : b.name,
    recipe: ids
      .map((colourantId) => ({ colourantId, load: load(a, colourantId) + (load(b, colourantId) - load(a, colourantId)) * t }))
      .filter((p) => p.load > 0),
  };
}

/** Places spread evenly through a list of curves that need not have as many points: each is read at even shares of its points. */
function resampled(curves: Point[][], n: number): Point[][] {
  if (curves.length - 1 === n) return curves.slice(1);
  const most = Math.max(...curves.map((c) => c.length));
  const even = curves.map((c) =>
    c.length === most
      ? c
      : Array.from({ length: most }, (_, i) => {
          const place = (i * (c.length - 1)) / (most - 1);
          const k = Math.min(c.length - 2, Math.floor(place));
          const [a, b, t] = [c[k]!, c[k + 1]!, place - k];
          return { x: tenth(a.x + (b.x - a.x) * t), y: tenth(a.y + (b.y - a.y) * t) };
        }),
  );
  return Array.from({ length: n }, (_, i) => {
    // what was the last edge stays the last; the shore is never an edge
    const place = n === 1 ? (even.length - 1) / 2 : 1 + (i * (even.length - 2)) / (n - 1);
    const k = Math.min(even.length - 2, Math.max(0, Math.floor(place)));
    const [a, b, t] = [even[k]!, even[k + 1] ?? even[k]!, place - k];
    return a.map((p, j) => ({ x: tenth(p.x + (b[j]!.x - p.x) * t), y: tenth(p.y + (b[j]!.y - p.y) * t) }));
  });
}

/** A sea parted into `n` tints. Where it had a single part, the new edges run off the shore toward the deep side. */
function withEdgeCount(sea: Sea, edges: number, [w, h]: [number, number]): Sea {
  const deep: Record<Sea['side'], (p: Point) => Point> = {
    far: ({ x }) => ({ x, y: 0 }),
    near: ({ x }) => ({ x, y: h }),
    left: ({ y }) => ({ x: 0, y }),
    right: ({ y }) => ({ x: w, y }),
  };
  const curves = (shore: Point[], own: Point[][], inland: boolean): Point[][] => {
    if (own.length === edges) return own;
    if (own.length) return resampled([shore, ...own], edges);
    if (!inland) return [];
    const far = shore.map(deep[sea.side]);
    return Array.from({ length: edges }, (_, i) =>
      shore.map((p, k) => ({
        x: tenth(p.x + ((far[k]!.x - p.x) * (i + 1)) / (edges + 1)),
        y: tenth(p.y + ((far[k]!.y - p.y) * (i + 1)) / (edges + 1)),
      })),
    );
  };
  return {
    ...sea,
    edges: curves(sea.shoreline, sea.edges, true),
    ...(sea.coasts && { coasts: sea.coasts.map((c) => ({ ...c, edges: curves(c.points, c.edges, false).slice(0, edges) })) }),
  };
}

/** A piece whose sea has `n` parts, from 1 to 8: edges and tints are spread anew between the first and the last. */
export function withParts(piece: Piece, n: number): Piece {
  const tints = (coat: SeaCoat): Tint[] =>
    Array.from({ length: n }, (_, i) => {
      const place = n === 1 ? 0 : (i * (coat.tints.length - 1)) / (n - 1);
      const k = Math.min(coat.tints.length - 1, Math.floor(place));
      return mixedTint(coat.tints[k]!, coat.tints[k + 1] ?? coat.tints[k]!, place - k);
    });
  return {
    ...piece,
    sea: withEdgeCount(piece.sea, n - 1, boxOf(piece.shape)),
    coats: piece.coats.map((coat) => (coat.kind === 'sea' && coat.tints.length !== n ? { ...coat, tints: tints(coat) } : coat)),
  };
}

/** A piece with another sea in the place of its own, parted for the tints it has. */
export const withSea = (piece: Piece, sea: Sea): Piece => {
  const next = withEdgeCount(sea, piece.sea.edges.length, boxOf(piece.shape));
  const ids = new Set((next.breakers ?? []).map((b) => b.id));
  return {
    ...piece,
    sea: next,
    coats: piece.coats.map((coat) => {
      if (coat.kind !== 'wave' || coat.along === undefined || ids.has(coat.along)) return coat;
      const { along: _, ...rest } = coat;
      return rest;
    }),
  };
};

/** A piece with a sea that was drawn elsewhere, taken as it is: the tints are spread anew over its parts. */
export const withDrawnSea = (piece: Piece, sea: Sea): Piece => withSea(withParts(piece, sea.edges.length + 1), sea);

/** A piece with another shore and edges, and all else it has drawn. */
export const withEdgesOf = (piece: Piece, sea: Pick<Sea, 'side' | 'shoreline' | 'edges'>): Piece =>
  withSea(piece, { ...piece.sea, ...sea });

/** A piece with the sea of another, stretched to its board. */
export const withSeaOf = (piece: Piece, other: Piece): Piece =>
  withSea(piece, fittedSea(other.sea, boxOf(other.shape), boxOf(piece.shape)));

/** How large and high a dressing starts, mm, and when it goes on. */
const startingDressings: Record<DressingKind, Pick<Dressing, 'size' | 'height' | 'when'>> = {
  shell: { size: 18, height: 8, when: 'after the wave' },
  stone: { size: 12, height: 7, when: 'before resin' },
  crystal: { size: 10, height: 6, when: 'between coats' },
  glass: { size: 14, height: 5, when: 'after the wave' },
  creature: { size: 30, height: 0, when: 'between coats' },
};

export function withDressing(piece: Piece, kind: DressingKind, to?: Point): Piece {
  const [w, h] = boxOf(piece.shape);
  const own = piece.dressings ?? [];
  const spot = to ?? { x: w * (0.3 + 0.08 * (own.length % 6)), y: h * (0.86 - 0.05 * (own.length % 3)) };
  return { ...piece, dressings: [...own, { id: freeId(kind, own), kind, x: tenth(spot.x), y: tenth(spot.y), ...startingDressings[kind] }] };
}

export const withDressingChanged = (piece: Piece, id: string, change: Partial<Dressing>): Piece => ({
  ...piece,
  dressings: (piece.dressings ?? []).map((d) => (d.id === id ? { ...d, ...change } : d)),
});

export const withoutDressing = (piece: Piece, id: string): Piece => ({
  ...piece,
  dressings: (piece.dressings ?? []).filter((d) => d.id !== id),
});
