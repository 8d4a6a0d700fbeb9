import { at } from './fluidity';
import type { Air } from './tools';
import type { Box } from './box';
import type { Foam } from './state';

/** The skin is warmed by the jet, loses to the room and shares with the film below, which loses to the board. */
export function warmUp(foam: Foam, box: Box, dt: number, air?: Air): void {
  const { fx, physical: p, roomC, skinC, restC, dose, foot } = foam;
  const perSkin = 1 / (p.heatCapacity * p.skin * 1e-3);
  const perRest = 1 / (p.heatCapacity * (p.film - p.skin) * 1e-3);
  const shared = (2 * p.conductivity) / (p.film * 1e-3);
  let hottest = foam.hottest;
  for (let J = box.j0; J < box.j1; J++)
    for (let I = box.i0; I < box.i1; I++) {
      const k = J * fx + I;
      const [t1, t2] = [skinC[k]!, restC[k]!];
      const jet = air ? air.transfer * foot[k]! * (roomC + air.excess - t1) : 0;
      const down = shared * (t1 - t2);
      const now = t1 + dt * perSkin * (jet - p.toRoom * (t1 - roomC) - down);
      skinC[k] = now;
      restC[k] = t2 + dt * perRest * (down - p.toBoard * (t2 - roomC));
      if (t1 > 100) dose[k] = dose[k]! + dt * at(foam.scorches, t1);
      if (now > hottest) hottest = now;
    }
  foam.hottest = hottest;
}

/** The warm film ages faster than the room's: what it is thinner or thicker by, over a while. */
export function ageOn(foam: Foam, box: Box, dt: number): void {
  const { fx, physical: p, roomC, restC, aged } = foam;
  const roomAge = at(foam.ages, roomC);
  for (let J = box.j0; J < box.j1; J++)
    for (let k = J * fx + box.i0; k < J * fx + box.i1; k++)
      if (restC[k] !== roomC) aged[k] = aged[k]! * Math.exp(-p.thickens * (at(foam.ages, restC[k]!) - roomAge) * dt);
}

/** Heat spreads sideways in both layers, explicitly. */
export function conduct(foam: Foam, box: Box, dt: number): void {
  const { fx, fy, dx, physical: p, skinC, restC } = foam;
  const number = ((p.conductivity / p.heatCapacity) * 1e6 * dt) / (2 * dx) ** 2;
  const parts = Math.ceil(number / 0.2);
  const wide = box.i1 - box.i0;
  let above = new Float32Array(wide);
  let here = new Float32Array(wide);
  for (let part = 0; part < parts; part++)
    for (const c of [skinC, restC]) {
      for (let J = box.j0; J < box.j1; J++) {
        const row = J * fx + box.i0;
        here.set(c.subarray(row, row + wide));
        if (J === box.j0) above.set(J > 0 ? c.subarray(row - fx, row - fx + wide) : here);
        for (let n = 0; n < wide; n++) {
          const I = box.i0 + n;
          const own = here[n]!;
          const left = n > 0 ? here[n - 1]! : I > 0 ? c[row - 1]! : own;
          const right = I + 1 < fx ? c[row + n + 1]! : own;
          const below = J + 1 < fy ? c[row + n + fx]! : own;
          c[row + n] = own + (number / parts) * (left + right + above[n]! + below - 4 * own);
        }
        [above, here] = [here, above];
      }
    }
}
