import { chance, ease } from '../chance';
import { radius } from '../holes';
import type { Box } from '../box';
import type { Foam } from '../state';
import type { Warp } from './warp';

/** Which cell each place of a box belongs to, −1 for none, how far inside its wall it lies, mm, and how white is shared out over it. */
export interface Walls {
  cell: Int32Array;
  depth: Float32Array;
  share: Float32Array;
}

/** How far round its ellipse a cell still shapes the white, mm, and by its radius. */
const [AROUND, BY_RADIUS] = [0.6, 0.25];

/** A cell as it is looked at: its middle, the inverse of its shape, and its radius. */
interface Seen {
  x: number;
  y: number;
  a: number;
  b: number;
  c: number;
  r: number;
}

function seenOf({ holes: h }: Foam, k: number): Seen {
  const [xx, xy, yy] = [h.xx[k]!, h.xy[k]!, h.yy[k]!];
  const det = xx * yy - xy * xy;
  return { x: h.x[k]!, y: h.y[k]!, a: yy / det, b: -xy / det, c: xx / det, r: radius(h, k) };
}

/** For each place the two cells of the smallest power (Aurenhammer 1987, for ellipses), first and second. */
function nearest(foam: Foam, box: Box, warp: Warp, seen: Seen[]) {
  const { nx, dx, holes } = foam;
  const wide = box.i1 - box.i0;
  const size = wide * (box.j1 - box.j0);
  const first = new Int32Array(size).fill(-1);
  const second = new Int32Array(size).fill(-1);
  const least = new Float32Array(size).fill(Infinity);
  const next = new Float32Array(size).fill(Infinity);
  for (let k = 0; k < holes.count; k++) {
    const { x, y, a, b, c, r } = seen[k]!;
    const grown = (r + AROUND + BY_RADIUS * r) / r;
    const far = grown * grown - 1;
    const [rx, ry] = [Math.sqrt(holes.xx[k]!) * grown + 1, Math.sqrt(holes.yy[k]!) * grown + 1];
    const i0 = Math.max(box.i0, Math.floor((x - rx) / dx));
    const i1 = Math.min(box.i1, Math.ceil((x + rx) / dx));
    const j0 = Math.max(box.j0, Math.floor((y - ry) / dx));
    const j1 = Math.min(box.j1, Math.ceil((y + ry) / dx));
    for (let j = j0; j < j1; j++)
      for (let i = i0; i < i1; i++) {
        const at = j * nx + i;
        const px = (i + 0.5) * dx + warp.x[at]! - x;
        const py = (j + 0.5) * dx + warp.y[at]! - y;
        const over = a * px * px + 2 * b * px * py + c * py * py - 1;
        if (over > far) continue;
        const power = r * r * over;
        const n = (j - box.j0) * wide + i - box.i0;
        if (power < least[n]!) {
          next[n] = least[n]!;
          second[n] = first[n]!;
          least[n] = power;
          first[n] = k;
        } else if (power < next[n]!) {
          next[n] = power;
          second[n] = k;
        }
      }
  }
  return { first, second, least, next };
}

/**
 * How white lies about the cells of a box: gathered in a rim and in the walls between them, drawn off their floors.
 * @param box fine cells
 */
export function wallsOf(foam: Foam, box: Box, warp: Warp): Walls {
  const { nx, dx, holes, seed, tuned: q } = foam;
  warp.over(box);
  const wide = box.i1 - box.i0;
  const seen = Array.from({ length: holes.count }, (_, k) => seenOf(foam, k));
  const floors = Float64Array.from({ length: holes.count }, (_, k) => q.rest * (0.35 + 1.3 * chance(seed + 29, holes.id[k]!, 0)));
  const { first, second, least, next } = nearest(foam, box, warp, seen);
  const share = new Float32Array(first.length).fill(1);
  const depth = new Float32Array(first.length).fill(-Infinity);
  for (let n = 0; n < first.length; n++) {
    const k = first[n]!;
    if (k < 0) continue;
    const i = box.i0 + (n % wide);
    const j = box.j0 + Math.floor(n / wide);
    const x = (i + 0.5) * dx + warp.x[j * nx + i]!;
    const y = (j + 0.5) * dx + warp.y[j * nx + i]!;
    const d = wallDistance(seen[k]!, second[n]! < 0 ? undefined : seen[second[n]!]!, least[n]!, next[n]!, x, y) - q.wall / 2;
    depth[n] = d;
    if (d <= 0) share[n] = 1 + q.rim * Math.exp(d / q.rimLength);
    else {
      const falls = Math.min(1, d / (q.soft + 0.12 * Math.min(seen[k]!.r, 2.5)));
      share[n] = floors[k]! + (1 + q.rim - floors[k]!) * (1 - ease(falls));
    }
  }
  return { cell: first, depth, share };
}

/** Distance of a place from the wall of its cell, mm, inside positive: from its own edge or from the next cell, rounded where both are near. */
function wallDistance(own: Seen, other: Seen | undefined, power: number, next: number, x: number, y: number): number {
  const [gx, gy] = [own.a * (x - own.x) + own.b * (y - own.y), own.b * (x - own.x) + own.c * (y - own.y)];
  const slope = Math.hypot(gx, gy);
  const s = Math.sqrt(Math.max(0, 1 + power / (own.r * own.r)));
  const edge = slope < 1e-9 ? own.r : ((1 - s) * s) / slope;
  if (!other) return edge;
  const [hx, hy] = [other.a * (x - other.x) + other.b * (y - other.y), other.b * (x - other.x) + other.c * (y - other.y)];
  const turn = 2 * Math.hypot(other.r * other.r * hx - own.r * own.r * gx, other.r * other.r * hy - own.r * own.r * gy);
  const wall = turn < 1e-9 ? edge : (next - power) / turn;
  const k = own.r / 4;
  const near = Math.max(0, 1 - Math.abs(edge - wall) / k);
  return Math.min(edge, wall) - (near * near * k) / 4;
}
