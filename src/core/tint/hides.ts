import type { Colourant } from '#core/document';
import { layerOver, seenOf, type Layer, type Rgb } from './layer';

/** Internal reflectances of the dark and the pale ground a film is judged over: seen, black and white card. */
const DARK = 0.1429;
const PALE = 0.8;

/** From this contrast on a film hides what is below it. */
export const HIDES = 0.9;

/** Luminance of linear red, green and blue (Rec. 709). */
export const luminance = ([r, g, b]: Rgb): number => 0.2126 * r + 0.7152 * g + 0.0722 * b;

/** What is seen of a film over a ground, as luminance. */
const over = ({ absorb, scatter, film }: Layer, ground: number): number => {
  const seen = (c: 0 | 1 | 2): number => seenOf(layerOver(absorb[c], scatter[c], film, ground));
  return luminance([seen(0), seen(1), seen(2)]);
};

/**
 * How much of a dark and a pale ground a film leaves to be told apart: seen over dark / seen over pale, 0 to 1; from 0.90
 * it hides. White at K 0.012, S 15: 0.690 at 0.15 mm, 0.810 at 0.25, 0.903 at 0.43.
 */
export const contrastOf = (layer: Layer): number => over(layer, DARK) / over(layer, PALE);

/** The film, mm, from which a mix hides what is below it; Infinity where even 20 mm would not. */
export function hidingFilm(layer: Omit<Layer, 'film'>): number {
  const at = (film: number): number => contrastOf({ ...layer, film });
  let [thin, thick] = [0, 20];
  if (at(thick) < HIDES) return Infinity;
  while (thick - thin > 1e-4) {
    const film = (thin + thick) / 2;
    if (at(film) < HIDES) thin = film;
    else thick = film;
  }
  return thick;
}

/**
 * The smallest load of one colourant that hides in a film; undefined where even the most it may hold does not.
 * @param film mm @param most load its makers allow
 */
export function hidingLoad(colourant: Pick<Colourant, 'absorb' | 'scatter'>, film: number, most: number): number | undefined {
  const at = (load: number): number => contrastOf({ absorb: times(colourant.absorb, load), scatter: times(colourant.scatter, load), film });
  if (at(most) < HIDES) return undefined;
  let [low, high] = [0, most];
  while (high - low > 1e-6) {
    const load = (low + high) / 2;
    if (at(load) < HIDES) low = load;
    else high = load;
  }
  return high;
}
const times = ([r, g, b]: Rgb, load: number): Rgb => [r * load, g * load, b * load];

/**
 * Film left on a stick lifted out of a mix, mm: √(μ z / (ρ g t)) (Jeffreys 1930). 0.9 Pa·s, 30 mm, 5 s → 0.708 mm.
 * @param mu thickness of the mix, Pa·s @param z how far below its upper end, mm @param t seconds since it was lifted
 * @param density g/ml
 */
export const stickFilm = (mu: number, z: number, t: number, density = 1.1): number =>
  1000 * Math.sqrt((mu * (z / 1000)) / (density * 1000 * 9.80665 * t));

/** Colourants that can whiten: in every channel they scatter more than twice what they absorb. The strongest first. */
export const whitesOf = <T extends Pick<Colourant, 'absorb' | 'scatter'>>(colourants: T[]): T[] =>
  colourants
    .filter((c) => Math.min(...c.scatter) > 2 * Math.max(...c.absorb))
    .sort((a, b) => Math.min(...b.scatter) - Math.min(...a.scatter));
