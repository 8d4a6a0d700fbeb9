import type { Colourant } from '#core/document';
import { groundNamed } from './ground';
import { internalOf, layerOver, type Rgb } from './layer';

/** How strong a colourant is said to be, where nothing was measured. */
export type Strength = 'weak' | 'ordinary' | 'strong';
export const strengths: readonly Strength[] = ['weak', 'ordinary', 'strong'];

/** The film a colour is judged in, mm, over white. */
export const LOOK_FILM = 1.5;
/** Load at which a see-through colourant looks like its colour in that film. */
const looks: Record<Strength, number> = { weak: 0.004, ordinary: 0.002, strong: 0.001 };

/** Scattering per mm at load 1 of an ordinary colourant of each kind: a dye's next to none, a white paste's in full. */
const bodies: Record<Colourant['kind'], number> = {
  'liquid pigment': 5,
  'alcohol ink': 0,
  'water-based': 5,
  paste: 250,
  'dry pigment': 250,
  'mica powder': 60,
  'metal flake': 60,
};
const times: Record<Strength, number> = { weak: 0.5, ordinary: 1, strong: 2 };

/** Whether a kind covers what is below it, and is known by the colour of a thick film of it. */
export const covers = (kind: Colourant['kind']): boolean => bodies[kind] > 20;

const each = (f: (channel: number) => number): Rgb => [f(0), f(1), f(2)];
/** Three figures are more than an eye tells. */
const kept = (v: number): number => Number(v.toPrecision(3));

/** Absorption per mm that makes a layer over a ground look as it does, one channel; 0 where it is paler than clear would be. */
function absorptionFor(R: number, S: number, X: number, Rg: number): number {
  if (R >= layerOver(0, S, X, Rg)) return 0;
  let [low, high] = [0, 1];
  while (layerOver(high, S, X, Rg) > R && high < 1e6) high *= 2;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (layerOver(middle, S, X, Rg) > R) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * k and s of a colourant from how it looks, until they are measured: the layer of Kubelka and Munk turned round, for a
 * film of 1.5 mm over white. One that covers is taken for the colour of a film that hides, k/s = (1 − R)²/2R.
 * @param colour as seen, linear sRGB
 * @param look   a word for its strength, or the load at which a film of it looked like that
 */
export function byEye(kind: Colourant['kind'], colour: Rgb, look: Strength | { load: number }): Pick<Colourant, 'absorb' | 'scatter'> {
  const internal = each((c) => Math.min(0.999, internalOf(Math.max(0.0005, colour[c]!))));
  if (typeof look === 'string' && covers(kind)) {
    const s = bodies[kind] * times[look];
    return { absorb: each((c) => kept((s * (1 - internal[c]!) ** 2) / (2 * internal[c]!))), scatter: [s, s, s] };
  }
  const load = typeof look === 'string' ? looks[look] : look.load;
  const s = bodies[kind];
  const white = groundNamed('white primer').internal;
  const absorb = each((c) => kept(Math.min(1e5, absorptionFor(internal[c]!, s * load, LOOK_FILM, white[c]!) / load)));
  return { absorb, scatter: [s, s, s] };
}
