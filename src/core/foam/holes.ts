/** Cells of the lacing, held as columns: the centre, mm, the shape tensor, mm², and what each has of its own. */
export interface Holes {
  count: number;
  x: Float64Array;
  y: Float64Array;
  /** Shape Q: the edge is where xᵀQ⁻¹x = 1. */
  xx: Float64Array;
  xy: Float64Array;
  yy: Float64Array;
  /** Growth factor. */
  grows: Float64Array;
  id: Int32Array;
  /** How often it has merged, and what its walls have gathered since. */
  merged: Int32Array;
  strain: Float64Array;
}

const COLUMNS = ['x', 'y', 'xx', 'xy', 'yy', 'grows', 'strain', 'id', 'merged'] as const;

export function noHoles(room = 256): Holes {
  const f = (): Float64Array => new Float64Array(room);
  const i = (): Int32Array => new Int32Array(room);
  return { count: 0, x: f(), y: f(), xx: f(), xy: f(), yy: f(), grows: f(), strain: f(), id: i(), merged: i() };
}

/** A copy with room for no more than there are. */
export function copyOf(h: Holes): Holes {
  const out = noHoles(Math.max(16, h.count));
  for (const c of COLUMNS) out[c].set(h[c].subarray(0, h.count));
  out.count = h.count;
  return out;
}

/** Adds a round cell. */
export function open(h: Holes, x: number, y: number, r: number, grows: number, id: number): void {
  if (h.count === h.x.length) {
    const wider = noHoles(2 * h.count);
    for (const c of COLUMNS) wider[c].set(h[c]);
    const { count } = h;
    Object.assign(h, wider, { count });
  }
  const k = h.count++;
  h.x[k] = x;
  h.y[k] = y;
  h.xx[k] = h.yy[k] = r * r;
  h.xy[k] = 0;
  h.grows[k] = grows;
  h.id[k] = id;
  h.merged[k] = 0;
  h.strain[k] = 0;
}

/** Drops the cells that are marked, and keeps the order of the others. */
export function drop(h: Holes, gone: Uint8Array): void {
  let to = 0;
  for (let k = 0; k < h.count; k++) {
    if (gone[k]) continue;
    if (to !== k) for (const c of COLUMNS) h[c][to] = h[c][k]!;
    to++;
  }
  h.count = to;
}

/** Mean radius of a cell, mm: of the disc of its area. */
export const radius = (h: Holes, k: number): number => Math.pow(h.xx[k]! * h.yy[k]! - h.xy[k]! ** 2, 0.25);

/** Half of what a cell spans along x and along y, mm. */
export const halfWidth = (h: Holes, k: number): number => Math.sqrt(h.xx[k]!);
export const halfHeight = (h: Holes, k: number): number => Math.sqrt(h.yy[k]!);

/** Radius of a cell's ellipse in a direction, mm. */
export function radiusToward(h: Holes, k: number, dx: number, dy: number): number {
  const [xx, xy, yy] = [h.xx[k]!, h.xy[k]!, h.yy[k]!];
  const across = yy * dx * dx - 2 * xy * dx * dy + xx * dy * dy;
  return Math.sqrt(((dx * dx + dy * dy) * (xx * yy - xy * xy)) / across);
}
