import { radius } from './holes';
import { samplesOf, type Point } from './line';
import type { SeenWhite } from './picture/white';
import type { Foam } from './state';

/** A spread: 10 %, the middle and 90 %. */
export interface Spread {
  low: number;
  middle: number;
  high: number;
}

/** What came of a rehearsal, measured as it is seen. */
export interface Figures {
  /** Share of the board that is white, and that is veiled, 0 to 1. */
  white: number;
  veil: number;
  /** Share of the foam that is open, 0 to 1; cells per cm² of foam; their diameters, mm. */
  open: number;
  perCm2: number;
  diameters: Spread;
  /** How many cells by diameter, in steps of `SIZES`. */
  sizes: number[];
  /** How far the white went from its line to the sea and up the beach: at the middle, and where 95 % stay behind, mm. */
  toSea: { middle: number; most: number };
  up: { middle: number; most: number };
  /** Share of the white that is stirred into the tint, 0 to 1, and that ran off the board. */
  mist: number;
  off: number;
  /** Board that scorched, mm², and the hottest the skin has been, °C. */
  scorched: number;
  hottest: number;
  /** Age of the film, min at the reference temperature, and what heat added to it where it added most. */
  age: number;
  heatAged: number;
}

/** Reflectance of white alone from which it is white, and under which it is not seen. */
const [WHITE, VEIL] = [0.5, 0.12];
/** A cell that has not grown by this much is not counted among the sizes. */
const NEWBORN = 1.0005;
/** Steps of the histogram of diameters, mm. */
export const SIZES = 0.5;
/** White is looked for this far from its line, mm. */
const FAR = 250;

const reflects = (scatter: number, w: number): number => (scatter * w) / (1 + scatter * w);

export function quantile(sorted: readonly number[], q: number): number {
  if (sorted.length === 0) return 0;
  const at = q * (sorted.length - 1);
  const i = Math.floor(at);
  return sorted[i]! + ((sorted[i + 1] ?? sorted[i]!) - sorted[i]!) * (at - i);
}

/** How far white goes from a path on one side of it, mm, for each of its millimetres that lie on the board. */
function reaches({ nx, ny, dx, w, physical }: Foam, path: readonly Point[], side: 1 | -1): number[] {
  const out: number[] = [];
  for (const p of samplesOf(path)) {
    if (p.x < 0 || p.y < 0 || p.x >= nx * dx || p.y >= ny * dx) continue;
    const [ax, ay] = [p.ty * side, -p.tx * side];
    let far = 0;
    for (let d = 0; d < FAR; d += dx) {
      const i = Math.floor((p.x + ax * d) / dx);
      const j = Math.floor((p.y + ay * d) / dx);
      if (i < 0 || j < 0 || i >= nx || j >= ny) break;
      const k = j * nx + i;
      if (reflects(physical.scatter, w[k]!) > VEIL) far = d;
    }
    out.push(far);
  }
  return out.sort((a, b) => a - b);
}

/**
 * Measures a board.
 * @param seen the whole of its white, as it is seen
 * @param lines of its white, and on which side of their run the sea lies: 1 left, −1 right, y downward
 * @param board mm² that count as board
 */
export function figuresOf(foam: Foam, seen: SeenWhite, lines: readonly { path: readonly Point[]; sea: 1 | -1 }[], board: number): Figures {
  const { nx, dx, holes, physical, w: coherent, m: stirred } = foam;
  const cell = dx * dx;
  const wide = seen.box.i1 - seen.box.i0;
  let [white, veil, foamy, open, w, m] = [0, 0, 0, 0, 0, 0];
  const visible = new Uint8Array(holes.count);
  for (let n = 0; n < seen.white.length; n++) {
    const k = (seen.box.j0 + Math.floor(n / wide)) * nx + seen.box.i0 + (n % wide);
    w += coherent[k]!;
    m += stirred[k]!;
    const lace = reflects(physical.scatter, seen.white[n]!);
    const brightest = Math.max(lace, reflects(physical.scatter, seen.mist[n]!));
    if (brightest > WHITE) white++;
    else if (brightest > VEIL) veil++;
    if (seen.depth[n]! > 0 || lace > VEIL) foamy++;
    if (seen.depth[n]! > 0) {
      open++;
      visible[seen.cell[n]!] = 1;
    }
  }
  const diameters = Array.from({ length: holes.count }, (_, k) => k)
    .map((k) => 2 * radius(holes, k))
    .filter((d) => d > 2 * NEWBORN * foam.tuned.smallest)
    .sort((a, b) => a - b);
  const sizes = new Array<number>(20).fill(0);
  for (const d of diameters) sizes[Math.min(sizes.length - 1, Math.floor(d / SIZES))]!++;
  const sea = lines.flatMap((l) => reaches(foam, l.path, l.sea)).sort((a, b) => a - b);
  const up = lines.flatMap((l) => reaches(foam, l.path, l.sea === 1 ? -1 : 1)).sort((a, b) => a - b);
  return {
    white: (white * cell) / board,
    veil: (veil * cell) / board,
    open: foamy > 0 ? open / foamy : 0,
    perCm2: foamy > 0 ? (100 * visible.reduce((sum, v) => sum + v, 0)) / (foamy * cell) : 0,
    diameters: { low: quantile(diameters, 0.1), middle: quantile(diameters, 0.5), high: quantile(diameters, 0.9) },
    sizes,
    toSea: { middle: quantile(sea, 0.5), most: quantile(sea, 0.95) },
    up: { middle: quantile(up, 0.5), most: quantile(up, 0.95) },
    mist: w + m > 0 ? m / (w + m) : 0,
    off: foam.laid > 0 ? foam.off / foam.laid : 0,
    scorched: foam.dose.reduce((sum, d) => sum + (d > 1 ? 4 * cell : 0), 0),
    hottest: foam.hottest,
    age: foam.age / 60,
    heatAged: -Math.log(foam.aged.reduce((least, a) => Math.min(least, a), 1)) / physical.thickens / 60,
  };
}
