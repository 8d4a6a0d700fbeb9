import type { Point, Sea } from '#core/document';
import { seeded } from '#core/geometry';

/** Curves that a hand, a file or a slip could draw and a clipper has trouble with. The same seed gives the same one. */

const [W, H] = [400, 300];

type Chance = () => number;
const one = <T>(chance: Chance, list: readonly T[]): T => list[Math.floor(chance() * list.length)]!;
const times = <T>(n: number, make: (i: number) => T): T[] => Array.from({ length: n }, (_, i) => make(i));

/** Grids on which points fall into each other's line, mm. */
const grids = [0.1, 1, 10, 50] as const;

const makers: Record<string, (n: number, at: () => Point, rim: () => Point, chance: Chance) => Point[]> = {
  'from rim to rim': (n, _, rim) => times(n, rim),
  'along one side': (n, at, _, chance) => {
    const y = one(chance, [0, H]);
    return times(n, () => (chance() < 0.8 ? { x: at().x, y } : at()));
  },
  'there and back': (n, at) => {
    const way = times(Math.ceil(n / 2) + 1, at);
    return [...way, ...way.slice(0, -1).reverse()];
  },
  'nearly closed': (n, at) => {
    const way = times(n, at);
    return [...way, { x: way[0]!.x + 0.1, y: way[0]!.y }];
  },
  'on one line': (n, at) => times(n, () => ({ x: at().x, y: H / 2 })),
  'the same three places': (n, at, _, chance) => {
    const places = [at(), at(), at()];
    return times(n, () => one(chance, places));
  },
  'a tangle of sixty': (_, at) => times(60, at),
  'reversed in the middle': (n, at) => {
    const way = times(n, at).sort((a, b) => a.x - b.x);
    return [...way, ...[...way].reverse(), ...way];
  },
  'rim and inside': (n, at, rim, chance) => times(n, () => (chance() < 0.5 ? rim() : at())),
  'each twice, a hair apart': (n, at, _, chance) =>
    times(Math.ceil(n / 2), at).flatMap((p) => [p, { x: p.x + 0.001 + 0.02 * chance(), y: chance() < 0.5 ? p.y : p.y + 0.001 }]),
  'off the board': (n, at, _, chance) => times(n, () => ({ x: at().x * 30 - 6000, y: chance() < 0.5 ? at().y : at().y * 40 - 6000 })),
};
export const curveKinds = Object.keys(makers);

function curve(chance: Chance, kind: string): Point[] {
  const grid = one(chance, grids);
  const on = (v: number): number => Number((Math.round(v / grid) * grid).toFixed(1));
  const at = (): Point => ({ x: on(chance() * W), y: on(chance() * H) });
  const rim = (): Point =>
    one(chance, [(p: Point) => ({ ...p, y: 0 }), (p) => ({ ...p, y: H }), (p) => ({ ...p, x: 0 }), (p) => ({ ...p, x: W })])(at());
  const points = makers[kind]!(3 + Math.floor(chance() * one(chance, [3, 8, 57])), at, rim, chance).slice(0, 60);
  // neighbours stand apart, as the document asks
  const apart = points.filter((p, i) => i === 0 || p.x !== points[i - 1]!.x || p.y !== points[i - 1]!.y);
  return apart.length > 1 ? apart : [rim(), { x: 200.1, y: 150.1 }];
}

/** A sea of nasty curves: mostly a shoreline alone, sometimes with edges, an island and an edge of the resin as nasty as it. */
export function nastySea(seed: number): { sea: Sea; kind: string } {
  const chance = seeded(seed);
  const kind = one(chance, curveKinds);
  const more = chance();
  const edges = more < 0.3 ? times(1 + Math.floor(chance() * 2), () => curve(chance, one(chance, curveKinds))) : [];
  const ring = curve(chance, kind);
  const closes = ring.length > 2 && (ring[0]!.x !== ring.at(-1)!.x || ring[0]!.y !== ring.at(-1)!.y);
  return {
    kind,
    sea: {
      side: one(chance, ['far', 'near', 'left', 'right'] as const),
      shoreline: curve(chance, kind),
      edges,
      ...(more > 0.8 && closes && { coasts: [{ id: 'coast-1', closed: true, points: ring, edges: [] }] }),
      ...(more > 0.9 && { bare: curve(chance, kind) }),
    },
  };
}

/** Curves that no hand draws: as many as the document holds, each tangled at all its points. */
export function snarl(seed: number, parts = 8): Sea {
  const chance = seeded(seed);
  const tangle = (): Point[] => times(60, () => ({ x: Math.round(chance() * W), y: Math.round(chance() * H) }));
  const edges = (): Point[][] => times(parts - 1, tangle);
  const coasts = times(6, (i) => ({ id: `coast-${i}`, closed: i % 2 === 0, points: tangle(), edges: edges() }));
  return { side: 'far', shoreline: tangle(), edges: edges(), coasts };
}
