import { halfHeight, halfWidth } from './holes';
import type { Foam } from './state';

/** Marks the fine cells whose middle lies inside a cell of the lacing. */
export function markInside(foam: Foam): void {
  const { nx, ny, dx, inside, holes } = foam;
  inside.fill(0);
  for (let h = 0; h < holes.count; h++) {
    const [x, y, xx, xy, yy] = [holes.x[h]!, holes.y[h]!, holes.xx[h]!, holes.xy[h]!, holes.yy[h]!];
    const [rx, ry] = [halfWidth(holes, h), halfHeight(holes, h)];
    const det = xx * yy - xy * xy;
    const [i0, i1] = [Math.max(0, Math.floor((x - rx) / dx)), Math.min(nx, Math.ceil((x + rx) / dx))];
    const [j0, j1] = [Math.max(0, Math.floor((y - ry) / dx)), Math.min(ny, Math.ceil((y + ry) / dx))];
    for (let j = j0; j < j1; j++)
      for (let i = i0; i < i1; i++) {
        const [ax, ay] = [(i + 0.5) * dx - x, (j + 0.5) * dx - y];
        if (yy * ax * ax - 2 * xy * ax * ay + xx * ay * ay <= det) inside[j * nx + i] = 1;
      }
  }
}
