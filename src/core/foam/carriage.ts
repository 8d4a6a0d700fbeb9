import { drop } from './holes';
import { fieldAt, type Foam } from './state';

const ASPECT = 4;
const SMALLEST = 0.12;

/** Cells go with the white, and are drawn out by it. */
export function carryCells(foam: Foam, dt: number): void {
  const { holes, ux, uy, dx, nx, ny, tuned } = foam;
  const gone = new Uint8Array(holes.count);
  for (let k = 0; k < holes.count; k++) {
    const [x, y] = [holes.x[k]!, holes.y[k]!];
    const [xx, xy, yy] = [holes.xx[k]!, holes.xy[k]!, holes.yy[k]!];
    const off = Math.max(2 * dx, 0.7 * Math.pow(xx * yy - xy * xy, 0.25));
    const rightX = fieldAt(foam, ux, x + off, y);
    const leftX = fieldAt(foam, ux, x - off, y);
    const belowX = fieldAt(foam, ux, x, y + off);
    const aboveX = fieldAt(foam, ux, x, y - off);
    const rightY = fieldAt(foam, uy, x + off, y);
    const leftY = fieldAt(foam, uy, x - off, y);
    const belowY = fieldAt(foam, uy, x, y + off);
    const aboveY = fieldAt(foam, uy, x, y - off);
    const goesX = (rightX + leftX + belowX + aboveX) / 4;
    const goesY = (rightY + leftY + belowY + aboveY) / 4;
    if (goesX === 0 && goesY === 0) continue;
    holes.x[k] = x + goesX * dt;
    holes.y[k] = y + goesY * dt;
    const per = dt / (2 * off);
    const [a, b, c, d] = [1 + (rightX - leftX) * per, (belowX - aboveX) * per, (rightY - leftY) * per, 1 + (belowY - aboveY) * per];
    // Q ← (I + L dt) Q (I + L dt)ᵀ
    holes.xx[k] = a * a * xx + 2 * a * b * xy + b * b * yy;
    holes.xy[k] = a * c * xx + (a * d + b * c) * xy + b * d * yy;
    holes.yy[k] = c * c * xx + 2 * c * d * xy + d * d * yy;
    within(foam, k, tuned.largest);
    if (holes.x[k]! < 0 || holes.y[k]! < 0 || holes.x[k]! > nx * dx || holes.y[k]! > ny * dx) gone[k] = 1;
  }
  if (gone.includes(1)) drop(holes, gone);
}

/** Holds a cell to the sizes and the lengths there are, its axes as they lie. */
function within({ holes }: Foam, k: number, largest: number): void {
  const [xx, xy, yy] = [holes.xx[k]!, holes.xy[k]!, holes.yy[k]!];
  const mean = (xx + yy) / 2;
  const off = Math.hypot((xx - yy) / 2, xy);
  let [long, short] = [mean + off, Math.max(mean - off, 1e-9)];
  const r = Math.min(largest, Math.max(SMALLEST, Math.pow(long * short, 0.25)));
  const aspect = Math.min(ASPECT, Math.sqrt(long / short));
  const [newLong, newShort] = [r * r * aspect, (r * r) / aspect];
  if (Math.abs(newLong - long) < 1e-12 && Math.abs(newShort - short) < 1e-12) return;
  const turn = off > 1e-12 ? (newLong - newShort) / 2 / off : 0;
  [long, short] = [newLong, newShort];
  holes.xx[k] = (long + short) / 2 + ((xx - yy) / 2) * turn;
  holes.yy[k] = (long + short) / 2 - ((xx - yy) / 2) * turn;
  holes.xy[k] = xy * turn;
}
