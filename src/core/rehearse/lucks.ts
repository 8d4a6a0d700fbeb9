import { does, Eye, goBack, layDown, momentOf, type Figures, type Move } from '#core/foam';
import type { Scene } from './scene';
import { laidOn, lengthOn, towardSea, type Setup } from './setup';

/** How many lucks stand behind a figure, and on how much of the shore they are tried, mm. */
export const LUCKS = 8;
export const LUCKS_ALONG = 80;

/** A figure over several lucks: its middle, and between which it lay. */
export interface OverLucks {
  middle: number;
  low: number;
  high: number;
}
export type Measured = 'reach' | 'up' | 'white' | 'perCm2' | 'size' | 'mist' | 'open' | 'hottest' | 'heatAged' | 'scorched';

const measures: Record<Measured, (f: Figures) => number> = {
  reach: (f) => f.toSea.middle,
  up: (f) => f.up.middle,
  white: (f) => f.white,
  perCm2: (f) => f.perCm2,
  size: (f) => f.diameters.middle,
  mist: (f) => f.mist,
  open: (f) => f.open,
  hottest: (f) => f.hottest,
  heatAged: (f) => f.heatAged,
  scorched: (f) => f.scorched,
};

export function overLucks(figures: readonly Figures[]): Record<Measured, OverLucks> {
  const of = (measure: (f: Figures) => number): OverLucks => {
    const all = figures.map(measure).sort((a, b) => a - b);
    return { middle: (all[(all.length - 1) >> 1]! + all[all.length >> 1]!) / 2, low: all[0]!, high: all.at(-1)! };
  };
  return Object.fromEntries(Object.entries(measures).map(([name, measure]) => [name, of(measure)])) as Record<Measured, OverLucks>;
}

/** What comes of a board by itself, s: most of its cells open in that time. */
export const RESTED = 1500;

/** A board as it lies rested, as it was left, and with one pass more. */
export interface OneLuck {
  left: Figures;
  further: Figures;
}

/**
 * One luck of a rehearsal.
 * @param moves what was done @param pass one pass more @param tells how much of it is done, 0 to 1
 */
export function oneLuck(
  scene: Scene,
  setup: Setup,
  moves: readonly Move[],
  pass: readonly Move[],
  tells?: (share: number) => void,
): OneLuck {
  const foam = layDown(laidOn(scene, setup));
  const all = moves.length + pass.length;
  const run = (some: readonly Move[], before: number): void =>
    some.forEach((move, k) => {
      does(foam, move);
      if (k % 20 === 0) tells?.((before + k) / all);
    });
  run(moves, 0);
  const moment = momentOf(foam);
  const rested = (): Figures => {
    does(foam, { rest: RESTED });
    return new Eye(foam).measure(scene.lines, scene.board);
  };
  const left = rested();
  goBack(foam, moment);
  run(pass, moves.length);
  return { left, further: rested() };
}

/** Across its line so much of a scene is kept, mm, and this share of it further out to sea than up the beach. */
const ACROSS = 200;
const OUT = 0.2;

/** A part of a scene, and where its corner lies on the board, mm. */
export interface Stretch {
  scene: Scene;
  x: number;
  y: number;
}

/** A stretch of a scene along its line, so that several lucks of it take seconds, and where its corner lies. @param most, across mm */
export function stretch(scene: Scene, most: number, across = ACROSS): Stretch {
  const path = scene.lines[0]?.path.filter((p) => p.x >= 0 && p.y >= 0 && p.x <= scene.width && p.y <= scene.height) ?? [];
  const middle = path[path.length >> 1];
  if (!middle || Math.max(scene.width, scene.height) <= most) return { scene, x: 0, y: 0 };
  const cells = (mm: number): number => Math.max(2, 2 * Math.round(mm / scene.dx / 2));
  const spans = (of: 'x' | 'y'): number => Math.abs(path.at(-1)![of] - path[0]![of]);
  // cut along the line alone: out to sea all is kept that white may reach
  const flat = spans('x') >= spans('y');
  const wide = Math.min(scene.nx, cells(flat ? most : across));
  const tall = Math.min(scene.ny, cells(flat ? across : most));
  const sea = towardSea(scene.lines, middle);
  const out = OUT * across;
  const clamp = (v: number, n: number, side: number): number =>
    2 * Math.floor(Math.min(Math.max(0, Math.round(v / scene.dx) - side / 2), n - side) / 2);
  const [i0, j0] = [clamp(middle.x + Math.cos(sea) * out, scene.nx, wide), clamp(middle.y + Math.sin(sea) * out, scene.ny, tall)];
  const film = new Uint8Array(wide * tall);
  const ground = new Float32Array(3 * wide * tall);
  for (let j = 0; j < tall; j++) {
    const from = (j0 + j) * scene.nx + i0;
    film.set(scene.film.subarray(from, from + wide), j * wide);
    ground.set(scene.ground.subarray(3 * from, 3 * (from + wide)), 3 * j * wide);
  }
  const [ox, oy] = [i0 * scene.dx, j0 * scene.dx];
  const moved = (lines: Scene['lines']): Scene['lines'] =>
    lines.map((l) => ({ ...l, path: l.path.map((p) => ({ x: p.x - ox, y: p.y - oy })) }));
  const size = { width: wide * scene.dx, height: tall * scene.dx };
  const lines = moved(scene.lines);
  const shareOfLine = lengthOn(lines[0]!.path, size) / (lengthOn(scene.lines[0]!.path, scene) || 1);
  const cut: Scene = {
    ...scene,
    ...size,
    nx: wide,
    ny: tall,
    film,
    ground,
    // a share of the stretch is the share of a board that is so along all of its line
    board: scene.board * Math.max(0.01, shareOfLine),
    lines,
    along: moved(scene.along),
    // the white of a millimetre stays what it is
    length: scene.length,
  };
  return { scene: cut, x: ox, y: oy };
}
