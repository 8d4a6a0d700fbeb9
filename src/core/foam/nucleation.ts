import { chance, normal } from './chance';
import { closeness, warmthOf, type Cold } from './drive';
import { at } from './fluidity';
import { open } from './holes';
import type { Box } from './box';
import { fieldAt, type Foam } from './state';
import { tileAt } from './tiles';

/** A place opens only with white around it, this far off, mm, and at least so much of its own. */
const [AROUND, LIKE] = [2, 0.25];

/**
 * New cells: a hazard that is nothing where white is a veil or closed and greatest between, grows with the warmth and the
 * fluidity of the film and with a barrier below, and opens a place when it has gathered what that place's luck asks for.
 * @param box fine cells @param dt s
 */
export function nucleate(foam: Foam, box: Box, dt: number, cold: Cold): void {
  const { nx, ny, dx, fx, seed, tuned: q, w, m, hazard, opened, inside, mobility, barrier, skinC, aged, tiles, holes } = foam;
  const greatest =
    (q.thinPower / (q.thinPower + q.thickPower)) ** q.thinPower * (q.thickPower / (q.thinPower + q.thickPower)) ** q.thickPower;
  const born = (q.born / greatest) * cold.holds * cold.old * dx * dx * dt;
  const off = Math.round(AROUND / dx);
  for (let j = Math.max(box.j0, off); j < Math.min(box.j1, ny - off); j++)
    for (let i = Math.max(box.i0, off); i < Math.min(box.i1, nx - off); i++) {
      const k = j * nx + i;
      const own = w[k]!;
      if (own <= q.veil || inside[k]) continue;
      const like = LIKE * own;
      if (w[k - off]! < like || w[k + off]! < like || w[k - off * nx]! < like || w[k + off * nx]! < like) continue;
      const [x, y] = [(i + 0.5) * dx, (j + 0.5) * dx];
      const thick = closeness(foam, own, tileAt(foam, tiles.open, x, y));
      if (thick >= 1) continue;
      const field = (j >> 1) * fx + (i >> 1);
      const skin = skinC[field]!;
      const coherent = own / (own + m[k]!);
      const rate =
        thick ** q.thinPower *
        (1 - thick) ** q.thickPower *
        at(foam.fluid, skin) *
        aged[field]! *
        mobility[k]! *
        warmthOf(foam, skin) *
        coherent *
        coherent *
        (1 + q.barrierBorn * Math.min(1, barrier[k]! / 0.3));
      const gathered = hazard[k]! + born * rate;
      hazard[k] = gathered;
      const n = opened[k]!;
      if (gathered <= -Math.log(chance(seed, k, n))) continue;
      const grows = Math.exp(q.spread * normal(chance(seed + 7, k, n), chance(seed + 11, k, n)));
      open(holes, (i + chance(seed + 13, k, n)) * dx, (j + chance(seed + 17, k, n)) * dx, q.smallest, grows, k);
      hazard[k] = 0;
      opened[k] = n + 1;
    }
}

/** Mobility of the skin at a place, mm: its fluidity, thinned by age and held by an uneven film, 1/(Pa·s). */
export function skinMobility(foam: Foam, x: number, y: number, cold: Cold): number {
  return (
    at(foam.fluid, fieldAt(foam, foam.skinC, x, y)) * cold.old * fieldAt(foam, foam.aged, x, y) * fieldAt(foam, foam.fieldMobility, x, y)
  );
}
