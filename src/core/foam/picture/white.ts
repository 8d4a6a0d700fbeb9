import type { Box } from '../box';
import type { Foam } from '../state';
import { blurred } from './blur';
import { wallsOf } from './walls';
import type { Warp } from './warp';

/** How softly white lies, and how softly the mist below it, mm. */
const [SOFT, MISTY] = [0.3, 1.5];

/** White as it is seen over a box of fine cells: gathered about its cells, and the mist, mm; whose cell each place is and how far inside its wall, mm. */
export interface SeenWhite {
  box: Box;
  white: Float32Array;
  mist: Float32Array;
  cell: Int32Array;
  depth: Float32Array;
}

function cut({ nx }: Foam, from: Float32Array, { i0, j0, i1, j1 }: Box): Float32Array {
  const out = new Float32Array((i1 - i0) * (j1 - j0));
  for (let j = j0; j < j1; j++) out.set(from.subarray(j * nx + i0, j * nx + i1), (j - j0) * (i1 - i0));
  return out;
}

/** Gathers the white of a box into the rims and the walls of its cells. Both ways of it keep its amount. */
export function whiteSeen(foam: Foam, box: Box, warp: Warp): SeenWhite {
  const wide = box.i1 - box.i0;
  const tall = box.j1 - box.j0;
  const white = cut(foam, foam.w, box);
  const mist = blurred(cut(foam, foam.m, box), wide, tall, MISTY / foam.dx);
  if (foam.holes.count === 0)
    return { box, white, mist, cell: new Int32Array(white.length).fill(-1), depth: new Float32Array(white.length).fill(-Infinity) };
  const { cell, depth, share } = wallsOf(foam, box, warp);
  gather(foam.holes.count, white, cell, share);
  const under = blurred(share, wide, tall, SOFT / foam.dx);
  for (let n = 0; n < white.length; n++) white[n] = white[n]! / under[n]!;
  const soft = blurred(white, wide, tall, SOFT / foam.dx);
  for (let n = 0; n < white.length; n++) white[n] = soft[n]! * share[n]!;
  return { box, white, mist, cell, depth };
}

/** Shares out the white of each cell over its own places. */
function gather(count: number, white: Float32Array, cell: Int32Array, share: Float32Array): void {
  const all = new Float64Array(count);
  const weight = new Float64Array(count);
  for (let n = 0; n < white.length; n++) {
    const k = cell[n]!;
    if (k < 0) continue;
    all[k] = all[k]! + white[n]!;
    weight[k] = weight[k]! + white[n]! * share[n]!;
  }
  for (let n = 0; n < white.length; n++) {
    const k = cell[n]!;
    if (k >= 0 && weight[k]! > 0) white[n] = (white[n]! * share[n]! * all[k]!) / weight[k]!;
  }
}
