import { chance, does, Eye, layDown, normal, painted, type Figures, type ToolName } from '#core/foam';
import type { Same } from './beside';
import { RESTED, stretch } from './lucks';
import type { Scene } from './scene';
import { laidOn, passesMade, type Hand, type Setup } from './setup';

/** A look that is wanted: how far it reaches out to sea, mm, how much of the board is white, 0 to 1, and its cells across, mm. */
export interface Look {
  reach: number;
  white: number;
  size: number;
}

/** A way to make a look, and what came of it; `off` is how far that is from what was wanted: 1 is about what luck does. */
export interface Trial {
  setup: Setup;
  hand: Hand;
  passes: number;
  figures: Figures;
  off: number;
}
/** A trial as it is seen. */
export interface SeenTrial extends Trial {
  wide: number;
  tall: number;
  pixels: Uint8ClampedArray;
}

/** What luck does to a reach, mm, to a share and to a size, as logarithms. */
const LUCK = { reach: 3, white: 0.2, size: 0.25 } as const;
/** Tried over the whole range first, then around the best of them. */
const [WIDE, NEAR] = [20, 16];
export const TRIALS = WIDE + NEAR;
const [TOOLS, MOST_PASSES] = [['hot air', 'dryer', 'gun'] as const satisfies readonly ToolName[], 3];
/** White beside what is planned, and the hand's speed, mm/s. */
const [WHITE, SPEED] = [
  [0.5, 2.5],
  [4, 18],
] as const;
/** Tried on so much of the shore, mm, on this grid; shown on more of it, twice as finely. */
const [ALONG, ACROSS, GRID] = [60, 110, 1];
const [SHOWN_ALONG, SHOWN_ACROSS] = [100, 75];

export const offFrom = (f: Figures, look: Look): number =>
  Math.hypot(
    (f.toSea.middle - look.reach) / LUCK.reach,
    Math.log(Math.max(f.white, 0.002) / Math.max(look.white, 0.002)) / LUCK.white,
    Math.log(Math.max(f.diameters.middle, 0.1) / look.size) / LUCK.size,
  );

/** A point of the unit cube as a way: white, minute, speed, passes and tool, within what the batch allows. */
function wayOf(p: readonly number[], same: Same): Omit<Trial, 'figures' | 'off'> {
  const between = (from: number, until: number, f: number): number => from + (until - from) * f;
  const log = ([from, until]: readonly [number, number], f: number): number => from * (until / from) ** f;
  const [a, b, c, d, e] = p as [number, number, number, number, number];
  const minute = Math.round(between(Math.ceil(same.ready.from), Math.max(Math.ceil(same.ready.from), Math.floor(same.ready.until)), b));
  return {
    setup: { ...same.setup, ml: Math.round(same.setup.ml * log(WHITE, a) * 10) / 10, minute, age: same.age(minute) },
    hand: { tool: TOOLS[Math.min(TOOLS.length - 1, Math.floor(e * TOOLS.length))]!, speed: Math.round(log(SPEED, c)) },
    passes: 1 + Math.min(MOST_PASSES - 1, Math.floor(d * MOST_PASSES)),
  };
}

/** The base of each axis of a low-discrepancy sequence (Halton 1960). */
const BASES = [2, 3, 5, 7, 11];
function halton(i: number, base: number): number {
  let [f, sum] = [1, 0];
  for (let n = i; n > 0; n = Math.floor(n / base)) {
    f /= base;
    sum += f * (n % base);
  }
  return sum;
}

function made(scene: Scene, way: Omit<Trial, 'figures' | 'off'>, reach: number) {
  const foam = layDown(laidOn(scene, way.setup));
  for (const move of [...passesMade(scene, way.hand, reach, way.passes), { rest: RESTED }]) does(foam, move);
  return { foam, eye: new Eye(foam) };
}

/**
 * Ways to make a look, one after the other: the whole range is tried evenly, then around the best of what was found. The
 * same is found each time it is asked.
 */
export function* trials(whole: Scene, same: Same, look: Look): Generator<Trial> {
  const { scene } = stretch(whole, ALONG, ACROSS);
  const found: { p: number[]; off: number }[] = [];
  for (let n = 0; n < TRIALS; n++) {
    let p = BASES.map((base) => halton(n + 1, base));
    if (n >= WIDE) {
      const best = [...found].sort((x, y) => x.off - y.off)[(n - WIDE) % 3]!;
      const wide = 0.22 * (1 - (0.7 * (n - WIDE)) / NEAR);
      p = best.p.map((v, k) => Math.min(0.999, Math.max(0, v + wide * normal(chance(7, n, k), chance(11, n, k)))));
    }
    const way = wayOf(p, same);
    const { eye } = made(scene, way, look.reach);
    const figures = eye.measure(scene.lines, scene.board);
    const off = offFrom(figures, look);
    found.push({ p, off });
    yield { ...way, figures, off };
  }
}

/** The nearest of what was tried, so many of them that are not the same in all but a little. */
export function nearest(tried: readonly Trial[], count: number): Trial[] {
  const chosen: Trial[] = [];
  for (const t of [...tried].sort((a, b) => a.off - b.off)) {
    const like = (o: Trial): boolean =>
      o.hand.tool === t.hand.tool &&
      o.passes === t.passes &&
      Math.abs(o.setup.minute - t.setup.minute) <= 3 &&
      Math.abs(Math.log(o.setup.ml / t.setup.ml)) < 0.2 &&
      Math.abs(Math.log(o.hand.speed / t.hand.speed)) < 0.25;
    if (chosen.length < count && !chosen.some(like)) chosen.push(t);
  }
  return chosen;
}

/** A trial as it is seen, on a scene twice as fine. */
export function seenTrial(whole: Scene, trial: Trial, reach: number): SeenTrial {
  const { scene } = stretch(whole, SHOWN_ALONG, SHOWN_ACROSS);
  const { foam, eye } = made(scene, trial, reach);
  const { nx, ny } = foam;
  const pixels = painted(foam, eye.see({ i0: 0, j0: 0, i1: nx, j1: ny }), scene.ground);
  return { ...trial, figures: eye.measure(scene.lines, scene.board), wide: nx, tall: ny, pixels };
}

/** The grids a search is made and shown on, mm. */
export const SEARCH_GRIDS = { tried: GRID, shown: GRID / 2 } as const;
