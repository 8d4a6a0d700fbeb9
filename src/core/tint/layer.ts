/** Linear sRGB, one number a channel, 0 to 1. */
export type Rgb = [number, number, number];

const each = (f: (channel: number) => number): Rgb => [f(0), f(1), f(2)];

/** A coat as light meets it: absorption and scattering per mm in each channel, and its film. */
export interface Layer {
  absorb: Rgb;
  scatter: Rgb;
  /** mm */
  film: number;
}

/**
 * Reflectance of one Kubelka–Munk layer over a ground, one channel (Kubelka and Munk 1931, Kubelka 1948), inside the
 * film's surface. Valid for diffuse light in three channels, no dichroism. K .5 S .2 X 1 R_g .8 → 0.33016.
 * @param K absorption per mm, from 0
 * @param S scattering per mm, from 0
 * @param X film, mm
 * @param Rg internal reflectance of the ground
 */
export function layerOver(K: number, S: number, X: number, Rg: number): number {
  const beta = Math.sqrt(K * (K + 2 * S));
  const t = beta * X < 1e-6 ? X : Math.tanh(beta * X) / beta;
  return (S * t + Rg * (1 - (K + S) * t)) / (1 + (K + S - S * Rg) * t);
}

/** Coats laid over a ground, bottom first; all reflectances internal. */
export const stackOver = (layers: Layer[], ground: Rgb): Rgb =>
  layers.reduce<Rgb>((below, layer) => each((c) => layerOver(layer.absorb[c]!, layer.scatter[c]!, layer.film, below[c]!)), ground);

/**
 * What the eye sees through a glossy surface of an internal reflectance (Saunderson 1942, 4 % outside, 60 % inside).
 * Applied once, at the outermost coat. 0.6 → 0.3600.
 */
export const seenOf = (R: number): number => (0.96 * 0.4 * R) / (1 - 0.6 * R);

/** The internal reflectance behind a seen one: the surface undone, for glossy grounds and photographs. */
export const internalOf = (seen: number): number => seen / (0.384 + 0.6 * seen);

/** Seen channels held to what a screen can show. */
export const seenColour = (internal: Rgb): Rgb => each((c) => Math.min(1, Math.max(0.0005, seenOf(internal[c]!))));
