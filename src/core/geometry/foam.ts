import { landOnRight, type Point, type Sea } from '#core/document';
import { toPaths, widened } from './clip';
import { linesInside } from './lines-inside';
import { lineLength, lineOf, shifted } from './curve';
import type { Cut } from './regions';
import { seeded } from './seeded';
import type { Ring } from './shapes/ring';

/** A line a wave breaks along. */
interface WaveLine {
  line: Point[];
  closed: boolean;
  /** 1 where the sea is on the left of its run, −1 where it is on the right. */
  out: 1 | -1;
}

/** The lines a wave breaks along: one breaker, or every shore. A breaker that is gone breaks nowhere. */
export function waveLines(sea: Sea, along?: string): WaveLine[] {
  const out = landOnRight(sea.side) ? 1 : -1;
  if (along !== undefined)
    return (sea.breakers ?? []).filter((b) => b.id === along).map((b) => ({ line: lineOf(b.points), closed: false, out }));
  return [
    { line: lineOf(sea.shoreline), closed: false, out },
    ...(sea.coasts ?? []).map((c): WaveLine => {
      const line = lineOf(c.points, c.closed);
      return { line: c.closed ? [...line, line[0]!] : line, closed: c.closed, out: c.closed && clockwise(line) ? 1 : c.closed ? -1 : 1 };
    }),
  ];
}

const clockwise = (ring: Point[]): boolean =>
  ring.reduce((sum, p, i) => sum + p.x * ring[(i + 1) % ring.length]!.y - ring[(i + 1) % ring.length]!.x * p.y, 0) > 0;

/** What of a wave's line lies on the board, mm. @param off how far out to sea of it, mm */
export const waveOnBoard = (cut: Cut, sea: Sea, along?: string, off = 0): Point[][] =>
  along === undefined && off === 0
    ? cut.shore
    : linesInside(
        waveLines(sea, along).map(({ line, out }) => (off === 0 ? line : shifted(line, out * off))),
        widened(toPaths(cut.cover.rings)),
      );
/** Length of the line of a wave on the board, mm. */
export const waveLength = (cut: Cut, sea: Sea, along?: string): number =>
  along === undefined ? cut.shoreLength : waveOnBoard(cut, sea, along).reduce((sum, line) => sum + lineLength(line), 0);

/** A line shifted by a reach that wanders about its mean along the way, and comes out at the mean over its length. */
function wandering(line: Point[], by: number, wander: number, seed: number): Point[] {
  if (wander === 0) return shifted(line, by);
  const next = seeded(seed);
  const waves = [7, 13, 23, 41].map((every) => ({ every, phase: 2 * Math.PI * next(), share: 0.25 + next() }));
  const all = waves.reduce((sum, w) => sum + w.share, 0);
  const step = 3;
  const fine: Point[] = [];
  line.forEach((p, i) => {
    const q = line[i + 1];
    if (!q) return void fine.push(p);
    const n = Math.max(1, Math.ceil(Math.hypot(q.x - p.x, q.y - p.y) / step));
    for (let k = 0; k < n; k++) fine.push({ x: p.x + ((q.x - p.x) * k) / n, y: p.y + ((q.y - p.y) * k) / n });
  });
  const [near, out] = [fine, shifted(fine, by)];
  const scale = 6 + Math.abs(by) / 4;
  let run = 0;
  return near.map((p, i) => {
    if (i > 0) run += Math.hypot(p.x - near[i - 1]!.x, p.y - near[i - 1]!.y);
    const w =
      1 +
      wander *
        waves.reduce(
          (sum, { every, phase, share }) => sum + (share / all) * Math.sin((2 * Math.PI * run) / (every * scale * 0.3) + phase),
          0,
        );
    return { x: p.x + (out[i]!.x - p.x) * w, y: p.y + (out[i]!.y - p.y) * w };
  });
}

/** How far foam goes to either side of its line, and how its edges wander; `wander` 0 gives straight-sided strips. */
export interface Reach {
  reachSea: number;
  reachUp: number;
  wander?: number;
  seed?: number;
}

/**
 * The strip of foam along a wave's lines, as polygons that may run off the board and over each other (fill by the
 * non-zero rule), mm.
 */
export const foamStrip = (sea: Sea, along: string | undefined, { reachSea, reachUp, wander = 0, seed = 0 }: Reach): Ring[] =>
  waveLines(sea, along).map(({ line, out }) => [
    ...wandering(line, out * reachSea, wander, seed + 1),
    ...wandering(line, -out * reachUp, wander, seed + 2).reverse(),
  ]);
