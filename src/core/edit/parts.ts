import { boxOf, isLine, type Piece, type Point, type Sea, type SeaCoat, type Tint } from '#core/document';
import { withoutLostAreas } from './areas';
import { fittedSea } from './shape';
import { tenth } from './tenth';

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
  return withoutLostAreas({
    ...piece,
    sea: next,
    coats: piece.coats.map((coat) => {
      if (!isLine(coat) || coat.along === undefined || ids.has(coat.along)) return coat;
      const { along: _, ...rest } = coat;
      return rest;
    }),
  });
};

/** A piece with a sea that was drawn elsewhere, taken as it is: the tints are spread anew over its parts. */
export const withDrawnSea = (piece: Piece, sea: Sea): Piece => withSea(withParts(piece, sea.edges.length + 1), sea);

/** A piece with another shore and edges, and all else it has drawn. */
export const withEdgesOf = (piece: Piece, sea: Pick<Sea, 'side' | 'shoreline' | 'edges'>): Piece =>
  withSea(piece, { ...piece.sea, ...sea });

/** A piece with the sea of another, stretched to its board; its sky and land stay its own. */
export function withSeaOf(piece: Piece, other: Piece): Piece {
  const { areas: _, ...sea } = fittedSea(other.sea, boxOf(other.shape), boxOf(piece.shape));
  return withSea(piece, { ...sea, ...(piece.sea.areas && { areas: piece.sea.areas }) });
}
