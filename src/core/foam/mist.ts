import type { Cold } from './drive';
import type { Box } from './box';
import type { Foam } from './state';

/** No more of it than this is stirred in by one step. */
const MOST = 0.2;

/** White that the strain of the air stirs into the tint, where it is not carried on. @param box fine cells */
export function stirIn(foam: Foam, box: Box, dt: number): void {
  const { nx, fx, w, m, strain, tuned: q } = foam;
  const cube = q.stirAt ** 3;
  for (let j = box.j0; j < box.j1; j++)
    for (let i = box.i0; i < box.i1; i++) {
      const g = strain[(j >> 1) * fx + (i >> 1)]!;
      const k = j * nx + i;
      if (g === 0 || w[k] === 0) continue;
      const rate = (q.stir * g * g * g * g) / (g * g * g + cube);
      const goes = Math.min(MOST, rate * dt) * Math.min(w[k]!, q.stirDepth);
      w[k] = w[k]! - goes;
      m[k] = m[k]! + goes;
    }
}

/** White that sinks into a film too thin to carry it, while it rests; what is left of it after a while, exactly. */
export function sinkIn(foam: Foam, box: Box, dt: number, cold: Cold): void {
  const { nx, w, m, tuned: q } = foam;
  const rate = q.sink * cold.fluid * (1 - cold.holds);
  if (rate <= 0) return;
  const kept = Math.exp(-rate * dt);
  for (let j = box.j0; j < box.j1; j++)
    for (let k = j * nx + box.i0; k < j * nx + box.i1; k++) {
      const now = w[k]!;
      if (now === 0) continue;
      // deep white loses as much as the layer that is in touch, until only that is left
      const whole = Math.max(0, (now - q.stirDepth) / (rate * q.stirDepth));
      const left =
        whole >= dt ? now - rate * q.stirDepth * dt : now > q.stirDepth ? q.stirDepth * Math.exp(-rate * (dt - whole)) : now * kept;
      m[k] = m[k]! + (now - left);
      w[k] = left;
    }
}
