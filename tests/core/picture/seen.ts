import { distancesTo } from '#core/geometry';
import type { Template } from '#core/picture';
import { drawLacing, LACING_WHITE, photographLacing, type KnownShot } from '#core/simulate';

/** What the plan would know of a drawn lacing. */
export function templateFor(shot: KnownShot, drawn = drawLacing(shot.lacing)): Template {
  const { width, height } = shot.lacing;
  const [columns, rows] = [width, height];
  const x = Float64Array.from({ length: columns * rows }, (_, k) => (k % columns) + 0.5);
  const y = Float64Array.from({ length: columns * rows }, (_, k) => Math.floor(k / columns) + 0.5);
  return {
    width,
    height,
    round: false,
    columns,
    rows,
    parts: Int8Array.from(x, (_, k) => drawn.partAt({ x: x[k]!, y: y[k]! })),
    away: Float32Array.from(distancesTo({ x, y, columns, rows, cell: 1 }, [drawn.line], 120)),
    lines: [{ path: drawn.line, sea: 1 }],
    white: LACING_WHITE,
  };
}

/** A known picture, what is known of it and how it is looked at. */
export function taken(shot: KnownShot) {
  const drawn = drawLacing(shot.lacing);
  return { known: drawn.known, template: templateFor(shot, drawn), picture: photographLacing(shot.lacing, drawn, shot.optics) };
}
