import { convertLrgbToOklab, convertLrgbToRgb } from 'culori/fn';
import type { Rgb } from './layer';

/** Screen channels, 0 to 255, whole. */
export function bytesOf([r, g, b]: Rgb): [number, number, number] {
  const seen = convertLrgbToRgb({ r, g, b });
  const byte = (v: number): number => Math.round(255 * Math.min(1, Math.max(0, v)));
  return [byte(seen.r), byte(seen.g), byte(seen.b)];
}

/** Linear sRGB as the "#rrggbb" a screen takes. */
export const hexOf = (colour: Rgb): string =>
  `#${bytesOf(colour)
    .map((v) => v.toString(16).padStart(2, '0'))
    .join('')}`;

/** OKLab lightness of a seen colour (Ottosson 2020), 0 to 1. */
export const lightness = ([r, g, b]: Rgb): number => convertLrgbToOklab({ r, g, b }).l;
