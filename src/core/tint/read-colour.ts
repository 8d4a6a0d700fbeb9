import { convertRgbToLrgb, parseHex } from 'culori/fn';
import type { Rgb } from './layer';
import { hexOf } from './screen';

/** Plain names of what is poured, as a screen shows them. */
const NAMES: Record<string, string> = {
  white: '#ffffff',
  black: '#000000',
  navy: '#000080',
  blue: '#1f4fd8',
  'sky blue': '#87ceeb',
  teal: '#008080',
  turquoise: '#40c8c0',
  aqua: '#7fdfe0',
  green: '#1f8a4c',
  'sea green': '#2e8b57',
  pink: '#f19ab5',
  coral: '#ff7f50',
  red: '#c8281e',
  purple: '#6b3fa0',
  lavender: '#b9a7d8',
  tan: '#d2b48c',
  sand: '#d9c19a',
  brown: '#6b4423',
  gold: '#b9903a',
  silver: '#c0c0c0',
  grey: '#808080',
};

export type ColourReading = { ok: true; value: Rgb } | { ok: false; says: string };

/** Reads a colour as a picker writes it, "#1b6f8a", or as a plain name, "teal". */
export function readColour(text: string): ColourReading {
  const typed = text.trim().toLowerCase();
  const found = parseHex(NAMES[typed.replace(/\s+/g, ' ')] ?? typed);
  if (!found) return { ok: false, says: `“${text.trim() || 'nothing'}” is no colour here. Pick one, or write it as #1b6f8a or teal.` };
  const { r, g, b } = convertRgbToLrgb(found);
  return { ok: true, value: [r, g, b] };
}

/**
 * Reads several colours with commas between them, "navy, teal, sand", as "#rrggbb"; nothing typed is none.
 * @param most how many there may be
 */
export function readColours(text: string, most: number): { ok: true; value: string[] } | { ok: false; says: string } {
  const parts = text
    .split(',')
    .map((part) => part.trim())
    .filter(Boolean);
  if (parts.length > most) return { ok: false, says: `Give up to ${most} colours, from the deep to the beach.` };
  const value: string[] = [];
  for (const part of parts) {
    const reading = readColour(part);
    if (!reading.ok) return reading;
    value.push(hexOf(reading.value));
  }
  return { ok: true, value };
}
