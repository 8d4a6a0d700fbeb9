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

/**
 * A wave laid in a wet film does not stand on it: the film levels within a minute or so (rate ρgh³k²/3μ, near 0.05 a second
 * for 1.75 mm, 1.5 Pa·s and a decimetre), so the wave floats in its surface and what it displaces lifts the film.
 * @param settle whether the film's new level is to be found; along a line it is known from the whole board
 */
export function floatOn(wet: Wet, cap: Float64Array, surface: Float64Array, before: Float64Array, settle: boolean): void {
  const { laying, ground } = wet;
  const { places, thickness } = laying;
  let volume = 0;
  for (const i of places) volume += cap[i]!;
  if (!places.length || volume === 0) return;
  /** Depth of the film with all that floats in it, before this wave. */
  const depth = (i: number): number => before[i]! - ground[i]!;
  if (settle && laying.level !== undefined) {
    for (const i of places) volume += Math.max(0, depth(i));
    laying.level = levelOf(ground, places, volume / places.length);
  } else if (settle) wet.rise += volume / places.length;
  const lift = settle && laying.level === undefined ? volume / places.length : 0;
  for (const i of places) {
    const whole = settle && laying.level !== undefined ? Math.max(0, laying.level - ground[i]!) : depth(i) + lift;
    const other = depth(i) - thickness[i]!;
    thickness[i] = Math.max(0, whole - other - cap[i]!);
    surface[i] = ground[i]! + other + thickness[i]! + cap[i]!;
  }
  if (laying.level === undefined) laying.rise = wet.rise;
}
