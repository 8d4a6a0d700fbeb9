import { limits, type Mark } from '#core/document';
import { density, length, mass, plain, read, readWithin, volume, type Reading } from '#core/units';
import { densityFromWater, dropFromCount, markFromWater } from './vessel';

/** Water as it stands in a room, °C: a degree more or less is two parts in ten thousand. */
const WATER_C = 20;

const writeDensity = (value: number): string => `${plain(value, 3)} g/ml`;

/**
 * Reads a density as stated, "1.15 g/ml", or as measured in two minutes: one cup filled to the same line with resin and
 * with water, both weights without the cup, "57.6 g / 50 g".
 */
export function readDensity(text: string): Reading {
  const weights = text.split('/').map((part) => part.trim());
  const measured = weights.length === 2 && !/^(ml|cm³|cm3|l|m³|m3)$/i.test(weights[1]!);
  if (!measured) return readWithin(density, text, limits.density, 'A density', writeDensity);
  const [resin, water] = weights.map((part) => read(mass, part)) as [Reading, Reading];
  if (!resin.ok) return resin;
  if (!water.ok) return water;
  const value = water.value > 0 ? densityFromWater(resin.value, water.value, WATER_C) : NaN;
  return value >= limits.density.min && value <= limits.density.max
    ? { ok: true, value: Number(value.toPrecision(5)) }
    : {
        ok: false,
        says: `${text.trim()} comes to ${water.value > 0 ? writeDensity(value) : 'no density'}. Weigh resin, then water to the same line, without the cup, as in “57.6 g / 50 g”.`,
      };
}

/** Reads the size of a drop: "0.025 ml", or counted, "36 to a gram". @param ofDensity of what drips, g/ml */
export function readDrop(text: string, ofDensity: number): Reading {
  const counted = /^\s*([\d.,]+)\s*(?:drops?\s*)?(?:to a|per|\/|a)\s*(?:g|gram)\s*$/i.exec(text);
  if (!counted) return readWithin(volume, text, { min: 0.001, max: 1 }, 'A drop', (v) => `${plain(v, 3)} ml`);
  const count = Number(counted[1]!.replace(',', '.'));
  return count >= 1 && count <= 500
    ? { ok: true, value: Number(dropFromCount(count, ofDensity).toPrecision(5)) }
    : { ok: false, says: `${counted[1]} drops to a gram is outside what drips. Count 1 to 500, as in “36 to a gram”.` };
}

export type MarksReading = { ok: true; value: Mark[] } | { ok: false; says: string };

/**
 * Reads the marks of a cup as they were made by filling it with water on a scale: "50 g at 23 mm, 100 g at 41 mm". Lowest
 * first or not, each above the one before it. An empty text takes them off.
 * @param holds what the cup holds, ml
 */
export function readMarks(text: string, holds: number): MarksReading {
  if (!text.trim()) return { ok: true, value: [] };
  const marks: Mark[] = [];
  for (const part of text.split(/[;,]\s+|;|\n/)) {
    const [weight, height, more] = part.split(/\s+at\s+|\s*@\s*/);
    if (height === undefined || more !== undefined)
      return { ok: false, says: `“${part.trim()}” is no mark. Write water and height, as in “50 g at 23 mm, 100 g at 41 mm”.` };
    // what was marked once comes back in ml
    const inMl = /ml\s*$/i.test(weight!);
    const [grams, mm] = [read(inMl ? volume : mass, weight!), read(length, height)];
    if (!grams.ok) return grams;
    if (!mm.ok) return mm;
    if (grams.value <= 0 || mm.value <= 0 || mm.value > 500)
      return { ok: false, says: `“${part.trim()}” is no mark: both are above 0, and no cup is over 500 mm high.` };
    const mark = inMl ? { ml: grams.value, mm: mm.value } : markFromWater(grams.value, mm.value, WATER_C);
    marks.push({ ml: Number(mark.ml.toPrecision(6)), mm: mark.mm });
  }
  marks.sort((a, b) => a.ml - b.ml);
  const bad = marks.findIndex((m, i) => i > 0 && (m.ml <= marks[i - 1]!.ml || m.mm <= marks[i - 1]!.mm));
  if (bad > 0) return { ok: false, says: 'More water must stand higher. Look at the marks again.' };
  if (marks.at(-1)!.ml > holds * 1.01) return { ok: false, says: `The highest mark is over what the cup holds, ${plain(holds, 0)} ml.` };
  return { ok: true, value: marks };
}

/** Marks as they are typed. */
export const writeMarks = (marks: Mark[]): string => marks.map((m) => `${plain(m.ml, 1)} ml at ${plain(m.mm, 1)} mm`).join(', ');
