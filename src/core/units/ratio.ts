import { bare } from './quantity';
import { read, short } from './read';

/** A ratio of two parts, or the sentence that says what would be right. */
export type RatioReading = { ok: true; a: number; b: number } | { ok: false; says: string };

const MOST = 100;
const no = (says: string): RatioReading => ({ ok: false, says });

/** Reads a mixing ratio as a maker writes it: "1:1", "2 : 1", "100:83", "3 to 1". Each part is above 0, up to 100. */
export const readRatio = short(readShort);

function readShort(typed: string): RatioReading {
  const parts = typed.split(/\s*(?::|\/|\bto\b)\s*/);
  if (!typed) return no('Give a ratio, as in “2 : 1”.');
  if (parts.length > 2) return no(`“${typed}” has ${parts.length} parts. A resin is mixed of two, A and B, as in “2 : 1”.`);
  if (parts.length < 2) return no(`“${typed}” is one number. Write both parts, A first, as in “2 : 1”.`);
  const [a, b] = parts.map((part) => read(bare, part)) as [ReturnType<typeof read>, ReturnType<typeof read>];
  if (!a.ok || !b.ok) return no(`“${typed}” is not a ratio. Write two numbers, A first, as in “100 : 83”.`);
  if (a.value <= 0 || b.value <= 0) return no(`“${typed}” leaves out a part, and a part of 0 never cures. Write both, as in “1 : 1”.`);
  if (a.value > MOST || b.value > MOST) return no(`“${typed}” goes beyond ${MOST}. Write it smaller, as in “100 : 83”.`);
  return { ok: true, a: a.value, b: b.value };
}
