import { differenceCiede2000, modeLab65, modeLrgb, modeOklch, modeRgb, useMode } from 'culori/fn';
import type { Rgb } from './layer';
import { lightness } from './screen';

const toLrgb = useMode(modeLrgb);
useMode(modeRgb);
const toOklch = useMode(modeOklch);
useMode(modeLab65);
const ciede = differenceCiede2000();

const linear = ([r, g, b]: Rgb) => ({ mode: 'lrgb' as const, r, g, b });

/** Linear sRGB of a colour as a screen takes it. @throws RangeError where it is none */
export function ofHex(hex: string): Rgb {
  const colour = toLrgb(hex);
  if (!colour) throw new RangeError(`“${hex}” is no colour; write it as #1a4f7a`);
  return [colour.r, colour.g, colour.b];
}

/** OKLab lightness of a colour as a screen takes it. @throws RangeError where it is none */
export const lightnessOf = (hex: string): number => lightness(ofHex(hex));

/** Below this chroma a colour has no hue to speak of. */
const GREY = 0.004;

/** OKLCH hue of a seen colour, degrees; undefined of a grey. */
export function hue(colour: Rgb): number | undefined {
  const { c, h } = toOklch(linear(colour));
  return c < GREY ? undefined : h;
}

/** How far apart two seen colours are (CIEDE2000, D65): about 1 can just be told, and from 3 on they do not match. */
export const deltaE = (a: Rgb, b: Rgb): number => ciede(linear(a), linear(b));

/** From this difference on two colours are never called a match. */
export const MATCHES = 3;
