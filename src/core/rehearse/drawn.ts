import { limits } from '#core/document';
import type { Act, Point } from '#core/foam';
import type { Scene } from './scene';
import { BACK, towardSea, type Hand } from './setup';

/** Points of a hand's line nearer to each other than this tell nothing, mm. */
const STEP = 2;
/** A line that was drawn is at least so long, mm. */
const SHORTEST = 8;

const lengths = (path: readonly Point[]): number[] => path.slice(1).map((b, i) => Math.hypot(b.x - path[i]!.x, b.y - path[i]!.y));

/** A hand's line as points evenly along it; undefined where it is too short to be one. */
export function drawnPath(points: readonly Point[]): Point[] | undefined {
  const legs = lengths(points);
  const long = legs.reduce((a, b) => a + b, 0);
  if (long < SHORTEST) return undefined;
  const n = Math.min(limits.strokePoints.max, Math.max(2, Math.round(long / STEP)));
  let [leg, before] = [0, 0];
  return Array.from({ length: n }, (_, k) => {
    const at = (long * k) / (n - 1);
    while (leg < legs.length - 1 && before + legs[leg]! < at) before += legs[leg++]!;
    const f = legs[leg]! > 0 ? Math.min(1, (at - before) / legs[leg]!) : 0;
    const [a, b] = [points[leg]!, points[leg + 1]!];
    return { x: Math.round(10 * (a.x + (b.x - a.x) * f)) / 10, y: Math.round(10 * (a.y + (b.y - a.y) * f)) / 10 };
  });
}

/** Strokes that were drawn, as the hand makes them: each at its speed, blowing the way it goes out to sea where it is drawn. */
export const actsDrawn = (scene: Pick<Scene, 'lines'>, paths: readonly (readonly Point[])[], { speed, ...held }: Hand, turn = 0): Act[] =>
  paths.flatMap((path): Act[] => [
    {
      does: 'stroke',
      held,
      path,
      seconds: Math.max(0.1, lengths(path).reduce((a, b) => a + b, 0) / speed),
      toward: towardSea(scene.lines, path[path.length >> 1]!) + turn,
    },
    { does: 'wait', seconds: BACK },
  ]);
