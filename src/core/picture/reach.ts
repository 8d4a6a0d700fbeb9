import type { Point } from '#core/foam';
import type { Straight } from './straighten';

/** How far from a line white is looked for, mm, and a gap after which what is white belongs to something else. */
const [FAR, GAP] = [100, 18];
/** Between places of a line at which it is measured, mm. */
const EVERY = 1;

/** How far the foam of a line went, mm, and how much it is turned against its line, degrees. */
export interface Reached {
  toSea: { middle: number; most: number };
  up: { middle: number; most: number };
  turned: number;
}

const at = (sorted: number[], share: number): number => {
  const x = share * (sorted.length - 1);
  const i = Math.floor(x);
  return (sorted[i] ?? 0) + ((sorted[i + 1] ?? sorted[i] ?? 0) - (sorted[i] ?? 0)) * (x - i);
};

/** Foam along lines: how far white goes on either side, and how its middle drifts along them. Undefined where there is none. */
export function reachedOf(
  white: Uint8Array,
  { columns, rows, perMm }: Pick<Straight, 'columns' | 'rows' | 'perMm'>,
  lines: readonly { path: readonly Point[]; sea: 1 | -1 }[],
): Reached | undefined {
  const seas: number[] = [];
  const ups: number[] = [];
  /** Place along the line and how far the middle of the foam lies out to sea, mm; and a weight. */
  const drift: { s: number; off: number }[] = [];
  const isWhite = (x: number, y: number): boolean | undefined => {
    const [i, j] = [Math.floor(x * perMm), Math.floor(y * perMm)];
    return i < 0 || j < 0 || i >= columns || j >= rows ? undefined : white[j * columns + i] === 1;
  };
  const step = 1 / perMm;
  for (const { path, sea } of lines) {
    let along = 0;
    for (let n = 1; n < path.length; n++) {
      const [a, b] = [path[n - 1]!, path[n]!];
      const long = Math.hypot(b.x - a.x, b.y - a.y);
      for (let s = EVERY / 2; s < long; s += EVERY) {
        const [tx, ty] = [(b.x - a.x) / long, (b.y - a.y) / long];
        const [ox, oy] = [ty * sea, -tx * sea];
        const p = { x: a.x + tx * s, y: a.y + ty * s };
        if (isWhite(p.x, p.y) === undefined) continue;
        let [sum, count] = [0, 0];
        const far = ([1, -1] as const).map((side) => {
          let last = 0;
          for (let d = 0; d < FAR && d - last < GAP; d += step) {
            const found = isWhite(p.x + side * ox * d, p.y + side * oy * d);
            if (found === undefined) break;
            if (!found) continue;
            last = d;
            sum += side * d;
            count++;
          }
          return last;
        });
        seas.push(far[0]!);
        ups.push(far[1]!);
        if (count) drift.push({ s: along + s, off: sum / count });
      }
      along += long;
    }
  }
  if (drift.length < 20) return undefined;
  const sorted = [seas, ups].map((of) => of.sort((a, b) => a - b));
  const mean = (of: (d: (typeof drift)[0]) => number): number => drift.reduce((t, d) => t + of(d), 0) / drift.length;
  const [ms, mo] = [mean((d) => d.s), mean((d) => d.off)];
  const spread = mean((d) => (d.s - ms) ** 2);
  const slope = spread > 0 ? mean((d) => (d.s - ms) * (d.off - mo)) / spread : 0;
  return {
    toSea: { middle: at(sorted[0]!, 0.5), most: at(sorted[0]!, 0.95) },
    up: { middle: at(sorted[1]!, 0.5), most: at(sorted[1]!, 0.95) },
    turned: (Math.atan(slope) * 180) / Math.PI,
  };
}
