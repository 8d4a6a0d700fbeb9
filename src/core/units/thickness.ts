import { viscosity, type Reading } from './quantity';
import { readWithin, type Range } from './read';
import { writeViscosity } from './write';

/** What a mix flows like, thinnest first: up to so many Pa·s, and what is meant where one is typed. */
const likes = [
  { word: 'like milk', below: 0.15, means: 0.05 },
  { word: 'like thin oil', below: 0.5, means: 0.3 },
  { word: 'like oil', below: 1.5, means: 0.9 },
  { word: 'like syrup', below: 4, means: 2.5 },
  { word: 'like honey', below: 12, means: 7 },
  { word: 'like cold honey', below: 40, means: 20 },
  { word: 'like toothpaste', below: Infinity, means: 70 },
];

/** What a thickness feels like: 0.9 Pa·s → "like oil". */
export const thicknessWord = (pas: number): string => likes.find((like) => pas < like.below)!.word;

/** The word first, and the figure of the data sheet after it: "like oil, 900 mPa·s (cps)". */
export const writeThickness = (pas: number): string => `${thicknessWord(pas)}, ${writeViscosity(pas)}`;

/** Reads a thickness as a word, "like oil" or "honey", or as a data sheet states it, "900 mPa·s" or "900 cps"; a bare number is mPa·s. */
export function readThickness(text: string, range: Range, what: string): Reading {
  const word = text
    .trim()
    .toLowerCase()
    .replace(/^like /, '');
  const like = likes.find((l) => l.word === `like ${word}`);
  if (like) return { ok: true, value: like.means };
  return readWithin(
    viscosity,
    text.replace(/^like [a-z ]+, */i, '').replace(/ *\((?:cps|mPa·s)\)$/i, ''),
    range,
    what,
    writeViscosity,
    'mPa·s',
  );
}
