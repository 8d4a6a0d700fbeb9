import type { Contacts } from './contacts';
import { closeness, warmthOf, type Cold } from './drive';
import { drop, radius } from './holes';
import { skinMobility } from './nucleation';
import { fieldAt, type Foam } from './state';
import { tileAt } from './tiles';

/** Cells vanish where this share of a veil is all the white around them. */
const FADES = 0.15;
/** How much of its unevenness a cell loses for each millimetre it grows. */
const EVENS = 0.4;

/**
 * Cells grow toward the largest there are, the slower the thicker the film and the white around them, and stop where others
 * hold them; as they grow they become round.
 */
export function growCells(foam: Foam, contacts: Contacts, dt: number, cold: Cold): void {
  const { nx, ny, dx, tuned: q, holes, tiles, w, m, skinC } = foam;
  const gone = new Uint8Array(holes.count);
  for (let k = 0; k < holes.count; k++) {
    const [x, y] = [holes.x[k]!, holes.y[k]!];
    const white = tileAt(foam, tiles.white, x, y);
    if (white < FADES * q.veil) {
      gone[k] = 1;
      continue;
    }
    const thick = closeness(foam, white, tileAt(foam, tiles.open, x, y));
    const mobile = skinMobility(foam, x, y, cold);
    const at = Math.min(ny - 1, Math.max(0, Math.floor(y / dx))) * nx + Math.min(nx - 1, Math.max(0, Math.floor(x / dx)));
    const coherent = w[at]! > 0 ? w[at]! / (w[at]! + m[at]!) : 0;
    const room = Math.max(0, 1 - thick) * Math.max(0, 1 - contacts.share[k]! / q.block);
    const r = radius(holes, k);
    const pace =
      (q.grow * holes.grows[k]! * coherent * room * mobile * warmthOf(foam, fieldAt(foam, skinC, x, y)) * cold.holds) / q.largest;
    const wider = Math.min(q.largest, q.largest - (q.largest - r) * Math.exp(-pace * dt));
    shape(foam, k, r, Math.max(r, wider), Math.exp(-EVENS * Math.max(0, wider - r) - (q.round * mobile * dt) / r));
  }
  drop(holes, gone);
}

/** Gives a cell a radius, and keeps this share of what makes it long. */
function shape({ holes }: Foam, k: number, from: number, to: number, keeps: number): void {
  const scale = (to / from) ** 2;
  const mean = ((holes.xx[k]! + holes.yy[k]!) / 2) * scale;
  const xx = mean + (holes.xx[k]! * scale - mean) * keeps;
  const yy = mean + (holes.yy[k]! * scale - mean) * keeps;
  const xy = holes.xy[k]! * scale * keeps;
  const same = (to * to) / Math.sqrt(xx * yy - xy * xy);
  holes.xx[k] = xx * same;
  holes.xy[k] = xy * same;
  holes.yy[k] = yy * same;
}
