import { formatHex, modeLrgb, modeOklab, modeRgb, useMode } from 'culori/fn';
import type { Rgb } from './layer';

useMode(modeLrgb);
useMode(modeRgb);
const toOklab = useMode(modeOklab);

/** Linear sRGB as the "#rrggbb" a screen takes. */
export const hexOf = ([r, g, b]: Rgb): string => formatHex({ mode: 'lrgb', r, g, b });

/** OKLab lightness of a seen colour (Ottosson 2020), 0 to 1. */
export const lightness = ([r, g, b]: Rgb): number => toOklab({ mode: 'lrgb', r, g, b }).l;

/** The same of a colour as a screen takes it. */
export const lightnessOf = (hex: string): number => toOklab(hex)?.l ?? 0;
