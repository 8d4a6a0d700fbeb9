import { TILE, type Foam } from './state';

/** Smooths by 1-2-1 along one axis; at the border a tile stands for its missing neighbour. */
function smooth(values: Float64Array, nx: number, ny: number, alongX: boolean): void {
  const [step, count, over, lines] = alongX ? [1, nx, nx, ny] : [nx, ny, 1, nx];
  for (let line = 0; line < lines; line++) {
    let before = values[line * over]!;
    for (let i = 0; i < count; i++) {
      const k = line * over + i * step;
      const own = values[k]!;
      const after = i + 1 < count ? values[k + step]! : own;
      values[k] = (before + 2 * own + after) / 4;
      before = own;
    }
  }
}

/** Averages the white and what lies inside cells over the tiles. */
export function setTiles(foam: Foam): void {
  const { nx, ny, dx, w, inside, tiles } = foam;
  const per = Math.round(TILE / dx);
  const { white, open, nx: tx, ny: ty } = tiles;
  white.fill(0);
  open.fill(0);
  for (let j = 0, k = 0; j < ny; j++) {
    const row = Math.floor(j / per) * tx;
    for (let i = 0; i < nx; i++, k++) {
      if (w[k] !== 0) white[row + ((i / per) | 0)]! += w[k]!;
      if (inside[k]) open[row + ((i / per) | 0)]! += 1;
    }
  }
  for (let J = 0; J < ty; J++)
    for (let I = 0; I < tx; I++) {
      const cells = Math.min(per, nx - I * per) * Math.min(per, ny - J * per);
      white[J * tx + I]! /= cells;
      open[J * tx + I]! /= cells;
    }
  for (const v of [white, open]) {
    smooth(v, tx, ty, true);
    smooth(v, tx, ty, false);
  }
}

/** Reads a mean of the tiles at a place, mm, bilinearly. */
export function tileAt({ tiles }: Foam, of: Float64Array, x: number, y: number): number {
  const u = Math.min(Math.max(x / TILE - 0.5, 0), tiles.nx - 1);
  const v = Math.min(Math.max(y / TILE - 0.5, 0), tiles.ny - 1);
  const [i, j] = [u | 0, v | 0];
  const [i1, j1] = [Math.min(i + 1, tiles.nx - 1), Math.min(j + 1, tiles.ny - 1)];
  const [a, b] = [u - i, v - j];
  return (
    (of[j * tiles.nx + i]! * (1 - a) + of[j * tiles.nx + i1]! * a) * (1 - b) +
    (of[j1 * tiles.nx + i]! * (1 - a) + of[j1 * tiles.nx + i1]! * a) * b
  );
}
