import { internalOf, layerOver, seenOf, type Rgb } from './layer';
import { deltaE } from './differ';

/** K and S of one channel, per mm. */
export interface Strength {
  K: number;
  S: number;
}

/** From this much lighter than its black ground a smear scatters measurably; below, S is taken as none. */
const SCATTERS = 1.2;

/**
 * K and S of a smear of film X from its reflectance over two real grounds (Kubelka 1948); all reflectances internal.
 * X .5, G .85/.04, R .65430/.26557 → K 0.3, S 0.8.
 * @param Rw, Rb the smear over the pale and the dark ground
 * @param Gw, Gb the grounds bare
 * @param X film, mm
 * @returns undefined where the smear hides both grounds, so that its thickness no longer shows
 */
export function measureChannel(Rw: number, Rb: number, Gw: number, Gb: number, X: number): Strength | undefined {
  if (Rb < SCATTERS * Gb) return { K: Math.max(0, Math.log(Gw / Rw) / (2 * X)), S: 0 };
  // a (R + G) + c (R − G) = 1 + R G, once for each ground
  const [pw, qw, rw] = [Rw + Gw, Rw - Gw, 1 + Rw * Gw];
  const [pb, qb, rb] = [Rb + Gb, Rb - Gb, 1 + Rb * Gb];
  const det = pw * qb - pb * qw;
  if (Math.abs(det) < 1e-12) return undefined;
  const a = (rw * qb - rb * qw) / det;
  const c = (pw * rb - pb * rw) / det;
  // noise may push a below 1, which is a smear that only scatters
  if (a <= 1 + 1e-9) return c > 0 ? { K: 0, S: 1 / (c * X) } : undefined;
  const beta = Math.sqrt(a * a - 1);
  if (!(c > beta)) return undefined;
  const S = Math.atanh(beta / c) / (beta * X);
  return { K: S * (a - 1), S };
}

/** The four patches of a smear, linear reflectance as they are seen. */
export interface Patches {
  white: Rgb;
  black: Rgb;
  overWhite: Rgb;
  overBlack: Rgb;
}

/** A pigment measured: k and s per mm at load 1, and how well they give the smear back. */
export interface Measured {
  absorb: Rgb;
  scatter: Rgb;
  /** What the model makes of them, as seen, and how far that is from what was photographed (CIEDE2000). */
  back: { overWhite: Rgb; overBlack: Rgb };
  residual: { overWhite: number; overBlack: number };
}

export type Measuring = { ok: true; measured: Measured } | { ok: false; says: string };

const channels = ['red', 'green', 'blue'] as const;

/**
 * k and s of a pigment from a smear over a white and a black ground. The card is matt and counts as measured; the smear
 * is glossy and its surface is first undone.
 * @param film mm @param load of the smear, a fraction of A + B
 */
export function measurePigment({ white, black, overWhite, overBlack }: Patches, film: number, load: number): Measuring {
  const absorb: Rgb = [0, 0, 0];
  const scatter: Rgb = [0, 0, 0];
  for (const c of [0, 1, 2] as const) {
    if (white[c] < 2 * black[c])
      return {
        ok: false,
        says: `In ${channels[c]} the white of the card is less than twice its black. Mark the corners again, or take the picture in better light.`,
      };
    const found = measureChannel(internalOf(overWhite[c]), internalOf(overBlack[c]), white[c], black[c], film);
    if (!found)
      return {
        ok: false,
        says: `In ${channels[c]} the smear hides both grounds, so its strength does not show. Thin the pigment to a half or a third and smear it again.`,
      };
    absorb[c] = found.K / load;
    scatter[c] = found.S / load;
  }
  const give = (ground: Rgb): Rgb => {
    const at = (c: 0 | 1 | 2): number => seenOf(layerOver(absorb[c] * load, scatter[c] * load, film, ground[c]));
    return [at(0), at(1), at(2)];
  };
  const back = { overWhite: give(white), overBlack: give(black) };
  return {
    ok: true,
    measured: {
      absorb,
      scatter,
      back,
      residual: { overWhite: deltaE(back.overWhite, overWhite), overBlack: deltaE(back.overBlack, overBlack) },
    },
  };
}
