import svgpath from 'svgpath';
import type { Point } from '#core/document';

/** One run of a path, in the units it is drawn in. */
export interface Run {
  points: Point[];
  /** Whether it is closed by the path itself. */
  closed: boolean;
}

/** Chords for each stretch of a curve. */
const CHORDS = 32;

const cubic = (p: Point[], t: number): Point => {
  const [a, b, c, d] = [(1 - t) ** 3, 3 * (1 - t) ** 2 * t, 3 * (1 - t) * t * t, t ** 3];
  return { x: a * p[0]!.x + b * p[1]!.x + c * p[2]!.x + d * p[3]!.x, y: a * p[0]!.y + b * p[1]!.y + c * p[2]!.y + d * p[3]!.y };
};

/**
 * The runs of an SVG path with its transforms applied, curves and arcs as chords.
 * @param transforms outermost first, as SVG writes them
 * @returns nothing where the path cannot be read
 */
export function runsOf(d: string, transforms: string[]): Run[] {
  // svgpath applies what was asked for last to what is innermost last, so the innermost goes first
  const path = [...transforms].reverse().reduce((p, transform) => p.transform(transform), svgpath(d));
  if ((path as unknown as { err?: string }).err) return [];
  const runs: Run[] = [];
  let run: Run | undefined;
  let at: Point = { x: 0, y: 0 };
  const to = (p: Point): void => {
    (run ??= begin(at)).points.push(p);
    at = p;
  };
  const begin = (p: Point): Run => {
    const begun: Run = { points: [p], closed: false };
    runs.push(begun);
    return begun;
  };
  path
    .abs()
    .unarc()
    .unshort()
    .iterate((segment, _index, x, y) => {
      const [command, ...v] = segment as [string, ...number[]];
      at = { x, y };
      switch (command) {
        case 'M':
          run = begin({ x: v[0]!, y: v[1]! });
          break;
        case 'L':
          to({ x: v[0]!, y: v[1]! });
          break;
        case 'H':
          to({ x: v[0]!, y });
          break;
        case 'V':
          to({ x, y: v[0]! });
          break;
        case 'C':
        case 'Q': {
          const start = { x, y };
          const controls =
            command === 'C'
              ? [v[0]!, v[1]!, v[2]!, v[3]!]
              : [
                  x + (2 / 3) * (v[0]! - x),
                  y + (2 / 3) * (v[1]! - y),
                  v[2]! + (2 / 3) * (v[0]! - v[2]!),
                  v[3]! + (2 / 3) * (v[1]! - v[3]!),
                ];
          const end = command === 'C' ? { x: v[4]!, y: v[5]! } : { x: v[2]!, y: v[3]! };
          const bow = [start, { x: controls[0]!, y: controls[1]! }, { x: controls[2]!, y: controls[3]! }, end];
          for (let i = 1; i <= CHORDS; i++) to(cubic(bow, i / CHORDS));
          break;
        }
        case 'Z':
          if (run) run.closed = true;
          run = undefined;
          break;
      }
    });
  return runs.filter((r) => r.points.length > 1 && r.points.every((p) => Number.isFinite(p.x) && Number.isFinite(p.y)));
}
