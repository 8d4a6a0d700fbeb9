import type { Point } from '#core/document';
import type { Picture } from '#core/tint';

/** A board straightened to the chart's millimetres: linear light in three channels, 0 to 1, row by row; NaN where the picture ends. */
export interface Straight {
  columns: number;
  rows: number;
  perMm: number;
  rgb: Float32Array;
  /** Places at which the picture is at the end of its range in every channel. */
  burnt: Uint8Array;
}

/** sRGB decoded (IEC 61966-2-1), for each byte. */
const LINEAR = Float32Array.from({ length: 256 }, (_, v) => {
  const s = v / 255;
  return s <= 0.04045 ? s / 12.92 : ((s + 0.055) / 1.055) ** 2.4;
});
/** From this byte on, a channel may have been more than the camera took. */
const END = 252;

/** Places of a straightened board at most, and places a millimetre: walls are some tenths of one. */
const [MOST, FINE] = [2e6, 6];

/** How finely a board is looked at, places a millimetre: no finer than the picture shows it. */
export const finenessOf = (width: number, height: number, pxPerMm: number): number =>
  Math.min(FINE, pxPerMm, Math.sqrt(MOST / (width * height)));

/**
 * Straightens a board.
 * @param to     where a place of the board, mm, lies in the picture, px
 * @param told   how far it has come, 0 to 1
 */
export function straighten(
  picture: Picture,
  to: (at: Point) => Point,
  { width, height }: { width: number; height: number },
  pxPerMm: number,
  told: (share: number) => void = () => {},
): Straight {
  const perMm = finenessOf(width, height, pxPerMm);
  const [columns, rows] = [Math.max(1, Math.floor(width * perMm)), Math.max(1, Math.floor(height * perMm))];
  const rgb = new Float32Array(3 * columns * rows);
  const burnt = new Uint8Array(columns * rows);
  // where the picture is finer, a place is the mean of what falls into it
  const n = Math.min(2, Math.max(1, Math.round(pxPerMm / perMm)));
  const { data, width: wide, height: tall } = picture;
  // along a row a perspective is a ratio of two straight lines: found from three of its places
  for (let j = 0; j < rows; j++) {
    if (j % 64 === 0) told(j / rows);
    for (let sub = 0; sub < n; sub++) {
      const row = alongRow(to, (j + (sub + 0.5) / n) / perMm, width);
      for (let i = 0; i < columns; i++) {
        const k = j * columns + i;
        for (let part = 0; part < n; part++) {
          const s = (i + (part + 0.5) / n) / perMm;
          const w = row.g * s + 1;
          const u = (row.a * s + row.b) / w - 0.5;
          const v = (row.c * s + row.d) / w - 0.5;
          if (u < -0.5 || v < -0.5 || u > wide - 0.5 || v > tall - 0.5) {
            rgb[3 * k] = NaN;
            continue;
          }
          if (n > 1) {
            const p = 4 * (Math.min(tall - 1, Math.max(0, Math.round(v))) * wide + Math.min(wide - 1, Math.max(0, Math.round(u))));
            rgb[3 * k]! += LINEAR[data[p]!]! / (n * n);
            rgb[3 * k + 1]! += LINEAR[data[p + 1]!]! / (n * n);
            rgb[3 * k + 2]! += LINEAR[data[p + 2]!]! / (n * n);
            if (data[p]! >= END && data[p + 1]! >= END && data[p + 2]! >= END) burnt[k] = 1;
          } else between(picture, u, v, k, rgb, burnt);
        }
      }
    }
  }
  return { columns, rows, perMm, rgb, burnt };
}

/** A row of the board in the picture, x = (a s + b)/(g s + 1) and y = (c s + d)/(g s + 1) over s along it, mm. */
function alongRow(to: (at: Point) => Point, y: number, width: number) {
  const [p, q, r] = [to({ x: 0, y }), to({ x: width / 2, y }), to({ x: width, y })];
  const before = Math.hypot(q.x - p.x, q.y - p.y);
  const behind = Math.hypot(r.x - q.x, r.y - q.y);
  const g = behind > 0 ? (before / behind - 1) / width : 0;
  const h = width / 2;
  const rise = (v0: number, vh: number): number => (vh * (g * h + 1) - v0) / h;
  return { g, a: rise(p.x, q.x), b: p.x, c: rise(p.y, q.y), d: p.y };
}

/** Light between four pixels. */
function between({ data, width, height }: Picture, u: number, v: number, k: number, rgb: Float32Array, burnt: Uint8Array): void {
  const [i0, j0] = [Math.max(0, Math.floor(u)), Math.max(0, Math.floor(v))];
  const [i1, j1] = [Math.min(width - 1, i0 + 1), Math.min(height - 1, j0 + 1)];
  const [fu, fv] = [Math.min(1, Math.max(0, u - i0)), Math.min(1, Math.max(0, v - j0))];
  const [a, b, c, d] = [4 * (j0 * width + i0), 4 * (j0 * width + i1), 4 * (j1 * width + i0), 4 * (j1 * width + i1)];
  let end = true;
  for (let ch = 0; ch < 3; ch++) {
    const [A, B, C, D] = [data[a + ch]!, data[b + ch]!, data[c + ch]!, data[d + ch]!];
    end &&= A >= END && B >= END && C >= END && D >= END;
    rgb[3 * k + ch] = (1 - fv) * ((1 - fu) * LINEAR[A]! + fu * LINEAR[B]!) + fv * ((1 - fu) * LINEAR[C]! + fu * LINEAR[D]!);
  }
  if (end) burnt[k] = 1;
}
