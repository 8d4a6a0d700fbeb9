import type { FilmedCoat, TopCoat } from '#core/document';
import type { Laying, Places } from './layings';

/**
 * Level at which a poured film of so many mm on the mean comes to rest over a ground. What a level holds is convex in
 * the level, so Newton's steps from above close in on it without passing it.
 */
function levelOf(ground: Float64Array, places: Places, film: number): number {
  let level = 0;
  for (const i of places) level = Math.max(level, ground[i]!);
  level += film;
  const target = film * places.length;
  for (let k = 0; k < 60; k++) {
    let [held, wet] = [0, 0];
    for (let j = 0; j < places.length; j++) {
      const depth = level - ground[places[j]!]!;
      if (depth > 0) {
        held += depth;
        wet++;
      }
    }
    const step = wet ? (held - target) / wet : 0;
    level -= step;
    if (step < 1e-7) break;
  }
  return level;
}

/** Where a poured coat comes to rest: by its volume, or a top by its cover over the highest place that is not proud. */
export function restOf(coat: FilmedCoat | TopCoat, surface: Float64Array, places: Places, proud: Uint8Array): number {
  if (!places.length) return 0;
  if (coat.kind !== 'top') return levelOf(surface, places, coat.film);
  let [flat, all] = [-Infinity, 0];
  for (const i of places) {
    all = Math.max(all, surface[i]!);
    if (!proud[i]) flat = Math.max(flat, surface[i]!);
  }
  return (flat === -Infinity ? all : flat) + coat.cover;
}

/** A wet film: what lay below it, and how much it has risen by what floats in it where it follows its ground, mm. */
export interface Wet {
  laying: Laying;
  ground: Float64Array;
  rise: number;
}

/** Depth of a wet film at a place, with all that floats in it, mm. */
type Depth = (place: number) => number;

/** How deep a film is once it has levelled about something more: what was poured rests higher, what was spread rises evenly. */
function settled(wet: Wet, depth: Depth, volume: number): Depth {
  const { laying, ground } = wet;
  const { places } = laying;
  if (laying.level === undefined) {
    const rise = volume / places.length;
    wet.rise += rise;
    return (i) => depth(i) + rise;
  }
  let whole = volume;
  for (const i of places) whole += Math.max(0, depth(i));
  const level = levelOf(ground, places, whole / places.length);
  laying.level = level;
  return (i) => Math.max(0, level - ground[i]!);
}

/**
 * A wave laid in a wet film does not stand on it: the film levels within a minute or so (rate ρgh³k²/3μ, near 0.05 a second
 * for 1.75 mm, 1.5 Pa·s and a decimetre), so the wave floats in its surface and what it displaces lifts the film.
 * @param cap    the wave's own thickness, mm
 * @param before the surface the wave came to, mm
 * @param settle whether the film's new level is to be found; along a line it is known from the whole board
 */
export function floatOn(wet: Wet, cap: Float64Array, surface: Float64Array, before: Float64Array, settle: boolean): void {
  const { laying, ground } = wet;
  const { places, thickness } = laying;
  let volume = 0;
  for (const i of places) volume += cap[i]!;
  if (!places.length || volume === 0) return;
  const depth: Depth = (i) => before[i]! - ground[i]!;
  const depthWithCap = settle ? settled(wet, depth, volume) : depth;
  for (const i of places) {
    const otherWaves = depth(i) - thickness[i]!;
    thickness[i] = Math.max(0, depthWithCap(i) - otherWaves - cap[i]!);
    surface[i] = ground[i]! + otherWaves + thickness[i]! + cap[i]!;
  }
  if (laying.level === undefined) laying.rise = wet.rise;
}
