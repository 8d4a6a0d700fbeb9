import { chance } from './chance';
import type { Contacts } from './contacts';
import { warmthOf, type Cold } from './drive';
import { drop } from './holes';
import { skinMobility } from './nucleation';
import { fieldAt, type Foam } from './state';

/** No merged cell is wider than this, of the largest that grows. */
const WIDEST = 1.26;

/** Walls between cells in contact give way with time, the sooner the warmer and the thinner the film: two cells become one. */
export function breakWalls(foam: Foam, contacts: Contacts, dt: number, cold: Cold): void {
  const { holes, seed, tuned: q } = foam;
  const gone = new Uint8Array(holes.count);
  for (let k = 0; k < holes.count; k++) {
    const other = contacts.most[k]!;
    if (gone[k] || other < 0 || gone[other]) continue;
    const [x, y] = [holes.x[k]!, holes.y[k]!];
    const pace = q.burst * skinMobility(foam, x, y, cold) * warmthOf(foam, fieldAt(foam, foam.skinC, x, y));
    holes.strain[k] = holes.strain[k]! + pace * Math.min(1, contacts.share[k]!) * dt;
    if (holes.strain[k]! <= -Math.log(chance(seed + 23, holes.id[k]!, holes.merged[k]!))) continue;
    if (join(foam, k, other)) gone[k] = 1;
    holes.strain[k] = 0;
    holes.merged[other] = holes.merged[other]! + (gone[k] ? 1 : 0);
  }
  drop(holes, gone);
}

/** Joins a cell to another: the areas add, the middle is that of both, and the shape is drawn out between them. */
function join({ holes: h, tuned }: Foam, k: number, to: number): boolean {
  const area = (n: number): number => Math.sqrt(h.xx[n]! * h.yy[n]! - h.xy[n]! ** 2);
  const [own, other] = [area(k), area(to)];
  const both = own + other;
  const f = own / both;
  const g = other / both;
  const [dx, dy] = [h.x[k]! - h.x[to]!, h.y[k]! - h.y[to]!];
  const xx = f * h.xx[k]! + g * h.xx[to]! + f * g * dx * dx;
  const xy = f * h.xy[k]! + g * h.xy[to]! + f * g * dx * dy;
  const yy = f * h.yy[k]! + g * h.yy[to]! + f * g * dy * dy;
  const scale = Math.min(both, (WIDEST * tuned.largest) ** 2) / Math.sqrt(xx * yy - xy * xy);
  h.x[to] = f * h.x[k]! + g * h.x[to]!;
  h.y[to] = f * h.y[k]! + g * h.y[to]!;
  h.xx[to] = xx * scale;
  h.xy[to] = xy * scale;
  h.yy[to] = yy * scale;
  return true;
}
