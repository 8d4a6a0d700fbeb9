import { tuned, withAdditive, type Act, type Held, type Laid, type Point, type ToolName } from '#core/foam';
import type { WaveCoat } from '#core/document';
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

/** The board as it begins. */
export function laidOn(scene: Scene, setup: Setup): Laid {
  const { dx, nx, ny, film } = scene;
  const section = scene.length > 0 ? (setup.ml * 1000) / scene.length : 0;
  return {
    width: scene.width,
    height: scene.height,
    dx,
    seed: setup.luck,
    roomC: scene.roomC,
    age: setup.age,
    physical: scene.physical,
    tuned: setup.additive ? withAdditive(tuned) : tuned,
    film: (x, y) => film[Math.min(ny - 1, Math.floor(y / dx)) * nx + Math.min(nx - 1, Math.floor(x / dx))]!,
    lines: section > NOTHING ? scene.lines : [],
    section,
    // much white makes a wider line: a bead of resin is about as high as it is wide by a seventh
    lineWidth: Math.max(scene.lineWidth, Math.sqrt(7 * 1.5 * section)),
    rough: setup.rough,
    barrier: setup.barrier,
  };
}

/** How far behind its line a stroke begins and how far out to sea it ends, beside the reach that is wanted; how far apart, mm. */
const [BEHIND, EVERY] = [3, 10];
/** Between two strokes the hand goes back, s. */
const BACK = 0.3;

/** The way a pass of heat is usually made: short pushes out to sea, side by side along the line, over the board alone. */
export function pushes({ lines, width, height }: Pick<Scene, 'lines' | 'width' | 'height'>, hand: Hand, reach: number): Act[] {
  const first = lines[0];
  if (!first) return [];
  const ahead = Math.max(15, 0.6 * reach);
  const acts: Act[] = [];
  let left = EVERY / 2;
  first.path.slice(1).forEach((b, i) => {
    const a = first.path[i]!;
    const length = Math.hypot(b.x - a.x, b.y - a.y);
    for (; left <= length; left += EVERY) {
      const [tx, ty] = [(b.x - a.x) / length, (b.y - a.y) / length];
      const [ox, oy] = [ty * first.sea, -tx * first.sea];
      const at: Point = { x: a.x + tx * left, y: a.y + ty * left };
      if (at.x < 0 || at.y < 0 || at.x > width || at.y > height) continue;
      acts.push({
        does: 'stroke',
        held: {
          tool: hand.tool,
          ...(hand.distance !== undefined && { distance: hand.distance }),
          ...(hand.angle !== undefined && { angle: hand.angle }),
          ...(hand.fan !== undefined && { fan: hand.fan }),
        },
        path: [
          { x: at.x - BEHIND * ox, y: at.y - BEHIND * oy },
          { x: at.x + ahead * ox, y: at.y + ahead * oy },
        ],
        seconds: (BEHIND + ahead) / hand.speed,
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
