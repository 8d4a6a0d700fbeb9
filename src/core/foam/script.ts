import type { Jet } from './jet';
import { layBarrier, layLine, type Point } from './line';
import { foamOn, type Board, type Foam } from './state';
import { spreadFilm } from './film';
import { airOf, type Held } from './tools';

/** The film and the lines of white it begins with. */
export interface Laid extends Board {
  /** Share of the film at a place, mm, 0 to 1. */
  film: (x: number, y: number) => number;
  uneven?: number;
  /** Lines of white as they are drawn, and on which side of their run the sea lies: 1 left, −1 right, y downward. */
  lines: readonly { path: readonly Point[]; sea: 1 | -1 }[];
  /** Cross-section, mm², and width of each line, mm; how unevenly they are laid. */
  section: number;
  lineWidth: number;
  rough?: number;
  /** Clear under the white, mm; 0 for none. */
  barrier: number;
}

/** The board as it lies when the white is down. */
export function layDown(laid: Laid): Foam {
  const foam = foamOn(laid);
  spreadFilm(foam, laid.film, laid.uneven);
  for (const { path, sea } of laid.lines) {
    if (laid.barrier > 0) layBarrier(foam, path, laid.barrier, sea);
    layLine(foam, { path, section: laid.section, width: laid.lineWidth, ...(laid.rough !== undefined && { rough: laid.rough }) });
  }
  return foam;
}

/** Air drawn over the board, its middle at the places of a path at even times over so many seconds, blowing in one direction, radians from +x toward +y. */
export interface Stroke {
  held: Held;
  path: readonly Point[];
  seconds: number;
  toward: number;
}
/** What is done after the white is laid, one after the other. */
export type Act = ({ does: 'stroke' } & Stroke) | { does: 'wait'; seconds: number };

/** Where something is after a share of the time it takes along places at even times. */
export function placeAt(path: readonly Point[], share: number): Point {
  const at = share * (path.length - 1);
  const [a, b] = [path[Math.floor(at)]!, path[Math.ceil(at)]!];
  const f = at - Math.floor(at);
  return { x: a.x + (b.x - a.x) * f, y: a.y + (b.y - a.y) * f };
}

/** The air of a stroke at some second of it. */
export function jetOf(stroke: Stroke, second: number, roomC: number): Jet {
  const { x, y } = placeAt(stroke.path, stroke.seconds > 0 ? Math.min(1, second / stroke.seconds) : 0);
  return { ...airOf(stroke.held, roomC), x, y, dx: Math.cos(stroke.toward), dy: Math.sin(stroke.toward) };
}
