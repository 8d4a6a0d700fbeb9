import { noise } from './chance';
import { toField, type Foam } from './state';

export interface Point {
  x: number;
  y: number;
}
/** A line of white: cross-section, mm², and width, mm, along its path; `rough` is how unevenly a hand lays it. */
export interface Line {
  path: readonly Point[];
  section: number;
  width: number;
  rough?: number;
}

/** Samples each millimetre along a path: where, which way it runs, and how far along, mm. */
export interface Sample extends Point {
  tx: number;
  ty: number;
  s: number;
}
export function samplesOf(path: readonly Point[], every = 1): Sample[] {
  const out: Sample[] = [];
  let before = 0;
  let next = 0;
  for (let i = 1; i < path.length; i++) {
    const [a, b] = [path[i - 1]!, path[i]!];
    const length = Math.hypot(b.x - a.x, b.y - a.y);
    if (length === 0) continue;
    const [tx, ty] = [(b.x - a.x) / length, (b.y - a.y) / length];
    for (; next <= before + length + 1e-9; next += every) {
      const f = next - before;
      out.push({ x: a.x + tx * f, y: a.y + ty * f, tx, ty, s: next });
    }
    before += length;
  }
  return out;
}

/** Nodes of what wanders along a line, mm: its width, its section, its offset. */
const WIDTH = [17, 6, 0.5] as const;
const SECTION = [23, 8, 0.6] as const;
const OFFSET = 11;

/** Calls for each fine cell near a path with its distance from the nearest sample, mm, left of the run positive. */
function along(foam: Foam, samples: readonly Sample[], far: number, does: (k: number, sample: number, off: number) => void): void {
  const { nx, ny, dx } = foam;
  const near = new Float32Array(nx * ny).fill(Infinity);
  const which = new Int32Array(nx * ny);
  samples.forEach((p, n) => {
    const [i0, i1] = [Math.max(0, Math.floor((p.x - far) / dx)), Math.min(nx, Math.ceil((p.x + far) / dx))];
    const [j0, j1] = [Math.max(0, Math.floor((p.y - far) / dx)), Math.min(ny, Math.ceil((p.y + far) / dx))];
    for (let j = j0; j < j1; j++)
      for (let i = i0; i < i1; i++) {
        const ax = (i + 0.5) * dx - p.x;
        const ay = (j + 0.5) * dx - p.y;
        const d = ax * ax + ay * ay;
        if (d < near[j * nx + i]!) {
          near[j * nx + i] = d;
          which[j * nx + i] = n;
        }
      }
  });
  for (let k = 0; k < near.length; k++) {
    if (near[k]! > far * far) continue;
    const p = samples[which[k]!]!;
    const [x, y] = [((k % nx) + 0.5) * dx - p.x, (Math.floor(k / nx) + 0.5) * dx - p.y];
    // beyond an end of the line nothing lies
    if (Math.abs(x * p.tx + y * p.ty) > 1) continue;
    does(k, which[k]!, x * p.ty - y * p.tx);
  }
}

/**
 * Lays a line of white: a parabola across, its width, section and offset wandering along it as a hand's do, and in all
 * exactly its section by the length that lies on the board.
 */
export function layLine(foam: Foam, { path, section, width, rough = foam.tuned.rough }: Line): void {
  const { nx, ny, dx, seed, w } = foam;
  const samples = samplesOf(path);
  const wander = samples.map(({ s }) => ({
    width: width * Math.exp(rough * (noise(seed + 1, s, 0, WIDTH[0]) + WIDTH[2] * noise(seed + 2, s, 0, WIDTH[1]))),
    section: Math.exp(rough * (noise(seed + 3, s, 0, SECTION[0]) + SECTION[2] * noise(seed + 4, s, 0, SECTION[1]))),
    off: ((rough * width) / 2) * noise(seed + 5, s, 0, OFFSET),
  }));
  const on = samples.filter(({ x, y }) => x >= 0 && y >= 0 && x <= nx * dx && y <= ny * dx).length;
  const length = samples.length > 1 ? (on / samples.length) * (samples.at(-1)!.s - samples[0]!.s) : 0;
  const laid = new Float64Array(nx * ny);
  let sum = 0;
  along(foam, samples, 2.5 * width, (k, n, off) => {
    const at = wander[n]!;
    const e = (2 * (off - at.off)) / at.width;
    if (Math.abs(e) >= 1) return;
    laid[k] = ((1.5 * at.section) / at.width) * (1 - e * e);
    sum += laid[k]!;
  });
  if (sum === 0) return;
  const scale = (section * length) / (sum * dx * dx);
  for (let k = 0; k < laid.length; k++) if (laid[k]! > 0) w[k] = w[k]! + laid[k]! * scale;
  foam.laid += section * length;
}

/** A clear line of `thick` mm under the white: from behind the line to well ahead of it, its edges soft. */
const [BEHIND, AHEAD, SOFT] = [6, 40, 4];
export function layBarrier(foam: Foam, path: readonly Point[], thick: number, sea: 1 | -1): void {
  const { barrier } = foam;
  along(foam, samplesOf(path), AHEAD + SOFT, (k, _, off) => {
    const out = off * sea;
    const inside = Math.min(out + BEHIND, AHEAD - out) / SOFT + 0.5;
    const share = Math.min(Math.max(inside, 0), 1);
    barrier[k] = Math.max(barrier[k]!, thick * share);
  });
  toField(foam, barrier, foam.fieldBarrier);
}
