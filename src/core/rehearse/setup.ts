import { movesOf, withAdditive, type Act, type Held, type Laid, type Move, type Point, type ToolName } from '#core/foam';
import type { WaveCoat } from '#core/document';
import { shifted } from '#core/geometry';
import type { Scene } from './scene';

/** What is chosen before the white is laid. */
export interface Setup {
  /** White of one board, ml, and how unevenly a hand lays it, from 0. */
  ml: number;
  rough: number;
  /** Minute after mixing at which it is laid and pushed, and the age of the film then, s at the resin's reference. */
  minute: number;
  age: number;
  /** Clear under it, mm; 0 for none. */
  barrier: number;
  additive: boolean;
  /** Width of each line, mm, where it is not the wave's own; how far out to sea of the plan's it is laid, mm, or another line. */
  width?: number;
  off?: number;
  line?: Point[];
  /** Which luck of the hand and of the air it is, from 1. */
  luck: number;
}
/** How the tool is held and how fast the hand goes, mm/s. */
export interface Hand extends Held {
  speed: number;
}

/** The tool a wave is planned to be moved with. */
export const toolOf = (wave: WaveCoat): ToolName => (wave.heat === 'hair dryer' ? 'dryer' : 'hot air');

/** White of a cross-section that leaves no line, mm²: below it nothing is laid. */
const NOTHING = 1e-6;

/** What of a path lies on a board, mm. */
export const lengthOn = (path: readonly Point[], { width, height }: Pick<Scene, 'width' | 'height'>): number =>
  path.slice(1).reduce((sum, b, i) => {
    const a = path[i]!;
    const [x, y] = [(a.x + b.x) / 2, (a.y + b.y) / 2];
    return x < 0 || y < 0 || x > width || y > height ? sum : sum + Math.hypot(b.x - a.x, b.y - a.y);
  }, 0);

/** The lines as they are laid, and how long they are on the board, mm: those of the plan, these moved out to sea, or one that was drawn. */
export function linesLaid(scene: Scene, { off = 0, line }: Pick<Setup, 'off' | 'line'>): { lines: Scene['lines']; length: number } {
  if (line) {
    const middle = line[line.length >> 1]!;
    const before = line[(line.length >> 1) - 1]!;
    const toward = towardSea(scene.lines, middle);
    const left = Math.atan2(-(middle.x - before.x), middle.y - before.y);
    return { lines: [{ path: line, sea: Math.cos(left - toward) >= 0 ? 1 : -1 }], length: lengthOn(line, scene) };
  }
  if (off === 0) return scene;
  return { lines: scene.lines.map(({ path, sea }) => ({ path: shifted([...path], sea * off), sea })), length: scene.length };
}

/** A scene whose line is the one that was drawn, where one was, and what is laid on it then. */
export function drawnOn(scene: Scene, setup: Setup): { scene: Scene; setup: Setup } {
  if (!setup.line) return { scene, setup };
  const { line: _, ...others } = setup;
  const { lines, length } = linesLaid(scene, setup);
  return { scene: { ...scene, lines, along: lines, length }, setup: others };
}

/** The board as it begins. */
export function laidOn(scene: Scene, setup: Setup): Laid {
  const { dx, nx, ny, film } = scene;
  const { lines, length } = linesLaid(scene, setup);
  const section = length > 0 ? (setup.ml * 1000) / length : 0;
  const width = setup.width ?? scene.lineWidth;
  return {
    width: scene.width,
    height: scene.height,
    dx,
    seed: setup.luck,
    roomC: scene.roomC,
    age: setup.age,
    physical: scene.physical,
    tuned: setup.additive ? withAdditive(scene.tuned) : scene.tuned,
    film: (x, y) => film[Math.min(ny - 1, Math.floor(y / dx)) * nx + Math.min(nx - 1, Math.floor(x / dx))]!,
    lines: section > NOTHING ? lines : [],
    section,
    // much white makes a wider line: a bead of resin is about as high as it is wide by a seventh
    lineWidth: Math.max(width, Math.sqrt(7 * 1.5 * section)),
    rough: setup.rough,
    barrier: setup.barrier,
  };
}

/** How far behind its line a stroke begins and how far out to sea it ends, beside the reach that is wanted; how far apart, mm. */
const [BEHIND, EVERY] = [3, 10];
/** Between two strokes the hand goes back, s, and between two passes one looks, s. */
export const BACK = 0.3;
const LOOK = 60;

/** The way a pass of heat is usually made: short pushes out to sea, side by side along each line, `every` so many mm, over the board alone. */
export const pushes = (scene: Pick<Scene, 'along' | 'width' | 'height'>, hand: Hand, reach: number, every = EVERY): Act[] =>
  scene.along.flatMap((line) => pushesAlong(line, scene, hand, reach, every));

/** So many passes as they are usually made, with a look between them. */
export function passesMade(scene: Pick<Scene, 'along' | 'width' | 'height'>, hand: Hand, reach: number, count: number): Move[] {
  const pass = movesOf(pushes(scene, hand, reach));
  return Array.from({ length: count }, (_, k) => (k > 0 ? [{ rest: LOOK }, ...pass] : pass)).flat();
}

function pushesAlong(
  { path, sea }: Laid['lines'][number],
  { width, height }: Pick<Scene, 'width' | 'height'>,
  { speed, ...held }: Hand,
  reach: number,
  every: number,
): Act[] {
  const ahead = Math.max(15, 0.6 * reach);
  const acts: Act[] = [];
  let left = every / 2;
  path.slice(1).forEach((b, i) => {
    const a = path[i]!;
    const length = Math.hypot(b.x - a.x, b.y - a.y);
    for (; left <= length; left += every) {
      const [tx, ty] = [(b.x - a.x) / length, (b.y - a.y) / length];
      const [ox, oy] = [ty * sea, -tx * sea];
      const at: Point = { x: a.x + tx * left, y: a.y + ty * left };
      if (at.x < 0 || at.y < 0 || at.x > width || at.y > height) continue;
      acts.push({
        does: 'stroke',
        held,
        path: [
          { x: at.x - BEHIND * ox, y: at.y - BEHIND * oy },
          { x: at.x + ahead * ox, y: at.y + ahead * oy },
        ],
        seconds: (BEHIND + ahead) / speed,
        toward: Math.atan2(oy, ox),
      });
      acts.push({ does: 'wait', seconds: BACK });
    }
    left -= length;
  });
  return acts;
}

/** Direction out to sea at the place of a line nearest to a point, radians. */
export function towardSea(lines: Laid['lines'], { x, y }: Point): number {
  let best = Infinity;
  let toward = -Math.PI / 2;
  for (const { path, sea } of lines)
    for (let i = 1; i < path.length; i++) {
      const [a, b] = [path[i - 1]!, path[i]!];
      const long = (b.x - a.x) ** 2 + (b.y - a.y) ** 2;
      if (long === 0) continue;
      const f = Math.min(1, Math.max(0, ((x - a.x) * (b.x - a.x) + (y - a.y) * (b.y - a.y)) / long));
      const d = Math.hypot(x - a.x - f * (b.x - a.x), y - a.y - f * (b.y - a.y));
      if (d < best) {
        best = d;
        toward = Math.atan2(-(b.x - a.x) * sea, (b.y - a.y) * sea);
      }
    }
  return toward;
}
