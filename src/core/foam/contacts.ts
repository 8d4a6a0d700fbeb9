import { halfHeight, halfWidth, radius, radiusToward, type Holes } from './holes';

/** Side of a bucket in which cells look for each other, mm. */
const BUCKET = 3;

/** Contact of each cell with those it overlaps, as a share of its rim, and the one it overlaps most, −1 for none. */
export interface Contacts {
  share: Float64Array;
  most: Int32Array;
}

/** Cells that may touch, by the bucket their boxes lie in; each pair is met once for each bucket both lie in. */
function buckets(h: Holes, width: number, height: number): { nx: number; lists: Map<number, number[]> } {
  const nx = Math.ceil(width / BUCKET) + 1;
  const ny = Math.ceil(height / BUCKET) + 1;
  const lists = new Map<number, number[]>();
  const clamp = (v: number, n: number): number => Math.min(Math.max(Math.floor(v / BUCKET), 0), n - 1);
  for (let k = 0; k < h.count; k++) {
    const [rx, ry] = [halfWidth(h, k), halfHeight(h, k)];
    for (let j = clamp(h.y[k]! - ry, ny); j <= clamp(h.y[k]! + ry, ny); j++)
      for (let i = clamp(h.x[k]! - rx, nx); i <= clamp(h.x[k]! + rx, nx); i++) {
        const list = lists.get(j * nx + i);
        if (list) list.push(k);
        else lists.set(j * nx + i, [k]);
      }
  }
  return { nx, lists };
}

/**
 * How much of each cell's rim lies within others: the angle a circle of its radius is cut over, by the ellipses' radii
 * along the line of their centres.
 */
export function contactsOf(h: Holes, width: number, height: number): Contacts {
  const share = new Float64Array(h.count);
  const most = new Int32Array(h.count).fill(-1);
  const best = new Float64Array(h.count);
  const reach = Float64Array.from({ length: h.count }, (_, k) => Math.sqrt(h.xx[k]! + h.yy[k]!));
  const seen = new Int32Array(h.count).fill(-1);
  const { nx, lists } = buckets(h, width, height);
  const clamp = (v: number): number => Math.max(0, Math.floor(v / BUCKET));
  for (let k = 0; k < h.count; k++) {
    const [rx, ry] = [halfWidth(h, k), halfHeight(h, k)];
    for (let j = clamp(h.y[k]! - ry); j <= clamp(h.y[k]! + ry); j++)
      for (let i = clamp(h.x[k]! - rx); i <= clamp(h.x[k]! + rx); i++)
        for (const o of lists.get(j * nx + i) ?? []) {
          if (o <= k || seen[o] === k) continue;
          seen[o] = k;
          touch(h, k, o, reach, (own, other) => {
            share[k]! += own;
            share[o]! += other;
            if (own > best[k]!) [best[k], most[k]] = [own, o];
            if (other > best[o]!) [best[o], most[o]] = [other, k];
          });
        }
  }
  return { share, most };
}

function touch(h: Holes, a: number, b: number, reach: Float64Array, found: (a: number, b: number) => void): void {
  const [dx, dy] = [h.x[b]! - h.x[a]!, h.y[b]! - h.y[a]!];
  const far = dx * dx + dy * dy;
  if (far >= (reach[a]! + reach[b]!) ** 2) return;
  const d = Math.sqrt(far);
  const same = d < 1e-9;
  const ra = same ? radius(h, a) : radiusToward(h, a, dx, dy);
  const rb = same ? radius(h, b) : radiusToward(h, b, dx, dy);
  if (d >= ra + rb) return;
  found(cut(d, ra, rb), cut(d, rb, ra));
}

/** Share of a circle's rim inside another: all of it where the other holds it, none where it holds the other. */
function cut(d: number, own: number, other: number): number {
  if (d <= 1e-9) return own <= other ? 1 : 0;
  const t = (d * d + own * own - other * other) / (2 * d * own);
  return Math.acos(Math.min(1, Math.max(-1, t))) / Math.PI;
}
