import { at } from './fluidity';
import { footprintAt, gustsAt, reachOf, sideOf, type Jet } from './jet';
import type { Box } from './box';
import type { Foam } from './state';

/** Slower than this the film does not move, mm/s; less of the jet than this does not strain it. */
const STILL = 0.03;
const STRAINS = 0.02;
/** How much of the air goes aside, by how far aside it is. */
const FANS = 0.35;

/** Footprint of the jet over a box of field cells. */
function stamp(foam: Foam, reach: Box, jet: Jet): void {
  const { fx, dx, foot } = foam;
  for (let J = reach.j0; J < reach.j1; J++)
    for (let I = reach.i0; I < reach.i1; I++) foot[J * fx + I] = footprintAt(jet, (2 * I + 1) * dx, (2 * J + 1) * dx);
}

/**
 * Surface velocity of a thin film that is driven at its surface (Levich 1962) by the air's stress and by the fall of
 * surface tension toward the warm (Oron, Davis, Bankoff 1997); its skin is warmer than what it slides on, and a clear
 * barrier lets it slip.
 * @returns the field cells that move
 */
export function setVelocity(foam: Foam, box: Box, jet?: Jet): Box {
  const { fx, fy, dx, physical: p, tuned: q, skinC, restC, aged, fieldMobility, fieldBarrier, foot, ux, uy, share, strain } = foam;
  for (let J = box.j0; J < box.j1; J++) foot.fill(0, J * fx + box.i0, J * fx + box.i1);
  const reach = jet && reachOf(foam, jet);
  if (jet && reach) stamp(foam, reach, jet);
  const gusts = reach && q.gusts > 0 ? gustsAt(foam, reach) : undefined;
  const d1 = p.skin;
  const d2 = p.film - d1;
  const old = Math.exp(-p.thickens * foam.age);
  const perMetre = 1000 / (4 * dx);
  const moving = { i0: box.i1, j0: box.j1, i1: box.i0, j1: box.j0 };
  for (let J = box.j0; J < box.j1; J++)
    for (let I = box.i0; I < box.i1; I++) {
      const k = J * fx + I;
      ux[k] = uy[k] = share[k] = strain[k] = 0;
      const moves = fieldMobility[k]! * aged[k]! * old;
      if (moves === 0) continue;
      // what is not on the board is as warm as its border
      const left = skinC[I > 0 ? k - 1 : k]!;
      const right = skinC[I + 1 < fx ? k + 1 : k]!;
      const above = skinC[J > 0 ? k - fx : k]!;
      const below = skinC[J + 1 < fy ? k + fx : k]!;
      let tx = p.marangoni * (right - left) * perMetre;
      let ty = p.marangoni * (below - above) * perMetre;
      const e = foot[k]!;
      if (jet && e > 0) {
        const x = (2 * I + 1) * dx;
        const y = (2 * J + 1) * dx;
        const n = (J - reach!.j0) * (reach!.i1 - reach!.i0) + I - reach!.i0;
        const strength = jet.stress * e * (gusts ? 1 + gusts.strength[n]! : 1);
        const across = FANS * sideOf(jet, x, y) + (gusts ? gusts.aside[n]! : 0);
        tx += strength * (jet.dx - across * jet.dy);
        ty += strength * (jet.dy + across * jet.dx);
      }
      const skin = d1 * at(foam.fluid, skinC[k]!) * moves;
      const all = skin + (d2 + q.slip * fieldBarrier[k]!) * at(foam.fluid, restC[k]!) * moves;
      const vx = q.drag * tx * all;
      const vy = q.drag * ty * all;
      if (e > STRAINS) strain[k] = (Math.sqrt(tx * tx + ty * ty) * skin) / d1;
      if (vx * vx + vy * vy < STILL * STILL) continue;
      ux[k] = vx;
      uy[k] = vy;
      share[k] = skin / all;
      if (I < moving.i0) moving.i0 = I;
      if (I >= moving.i1) moving.i1 = I + 1;
      if (J < moving.j0) moving.j0 = J;
      moving.j1 = J + 1;
    }
  return moving;
}
