import type { Paths } from './clip';

type Vertex = Paths[number][number];
type Side = [Vertex, Vertex];

/** How near a vertex must be to a side to lie on it, µm: the clipper rounds to whole ones, where sides meet flatly more than once. */
const ON = 5;

/** Whether p lies on a side of a polygon. The box is tried first, since almost every side fails it. */
function isOn({ X: px, Y: py }: Vertex, [a, b]: Side): boolean {
  if (px < Math.min(a.X, b.X) - ON || px > Math.max(a.X, b.X) + ON) return false;
  if (py < Math.min(a.Y, b.Y) - ON || py > Math.max(a.Y, b.Y) + ON) return false;
  const dx = b.X - a.X;
  const dy = b.Y - a.Y;
  return Math.abs((px - a.X) * dy - (py - a.Y) * dx) < ON * Math.sqrt(dx * dx + dy * dy);
}

const keyOf = (p: Vertex): number => p.X * 1e8 + p.Y;

/** Height of the bands that sides are looked for by, µm. */
const BAND = 2000;
const bandOf = (y: number): number => Math.floor(y / BAND);

/** The rims of a board, by their corners and by the bands their sides stand in, so that one with many thousand is searched quickly. */
export class Rim {
  readonly #corners = new Map<number, Side[]>();
  readonly #bands = new Map<number, Side[]>();

  constructor(rims: Paths) {
    for (const rim of rims)
      rim.forEach((b, i) => {
        const a = rim[i ? i - 1 : rim.length - 1]!;
        const c = rim[i + 1 < rim.length ? i + 1 : 0]!;
        this.#corners.set(keyOf(b), [
          [b, c],
          [a, b],
        ]);
        const [low, high] = [Math.min(b.Y, c.Y) - ON, Math.max(b.Y, c.Y) + ON];
        for (let band = bandOf(low); band <= bandOf(high); band++) {
          const sides = this.#bands.get(band);
          if (sides) sides.push([b, c]);
          else this.#bands.set(band, [[b, c]]);
        }
      });
  }

  /** The sides a vertex lies on: its two where it is a corner, else those whose line it is on, which near a corner are two. */
  #sidesAt(p: Vertex): Side[] {
    return this.#corners.get(keyOf(p)) ?? this.#bands.get(bandOf(p.Y))?.filter((side) => isOn(p, side)) ?? [];
  }

  /**
   * Length of the boundary that polygons cut from the board share with its rims, mm. The clipper keeps the rim's own
   * vertices, so an edge of a cut polygon is on the rim when both its ends are on one of its sides.
   */
  sharedWith(paths: Paths): number {
    let total = 0;
    for (const path of paths) {
      const sides = path.map((p) => this.#sidesAt(p));
      path.forEach((p, k) => {
        const next = k + 1 < path.length ? k + 1 : 0;
        const q = path[next]!;
        if (sides[k]!.some((side) => isOn(q, side)) || sides[next]!.some((side) => isOn(p, side)))
          total += Math.hypot(q.X - p.X, q.Y - p.Y);
      });
    }
    return total / 1000;
  }
}
