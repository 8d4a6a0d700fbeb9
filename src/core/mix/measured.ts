import { limits, type Mark } from '#core/document';
import { density, inUnit, length, mass, plain, read, readWithin, volume, type Reading, type Writes } from '#core/units';
import { densityFromWater, markFromWater } from './vessel';

/** Water as it stands in a room, °C: a degree more or less is two parts in ten thousand. */
const WATER_C = 20;

/** Two weights as they are typed for a density, in the studio's unit. */
export const exampleWeights = (write: Writes): string => `${write.weight(57.6)} / ${write.weight(50)}`;

/**
 * Reads a density as stated, "1.15 g/ml", or as measured in two minutes: one cup filled to the same line with resin and
 * with water, both weights without the cup, "57.6 g / 50 g".
 */
export function readDensity(text: string, write: Writes): Reading {
  const weights = text.split('/').map((part) => part.trim());
  const measured = weights.length === 2 && !/^(ml|cm³|cm3|cc|l|m³|m3|gal|gallon)$/i.test(weights[1]!);
  if (!measured)
    return readWithin(density, text, limits.density, 'A density', write.density, write.units.volume === 'ml' ? 'g/ml' : 'lb/gal');
  const [resin, water] = weights.map((part) => read(mass, part, write.units.weight)) as [Reading, Reading];
  if (!resin.ok) return resin;
  if (!water.ok) return water;
  const value = water.value > 0 ? densityFromWater(resin.value, water.value, WATER_C) : NaN;
  return value >= limits.density.min && value <= limits.density.max
    ? { ok: true, value: Number(value.toPrecision(5)) }
    : {
        ok: false,
        says: `${text.trim()} comes to ${water.value > 0 ? write.density(value) : 'no density'}. Weigh resin, then water to the same line, without the cup, as in “${exampleWeights(write)}”.`,
      };
}

/** What drops are counted to: a gram on a scale, or a quarter teaspoon where no scale reads grams. */
const counts = (write: Writes): { called: string; ml: (ofDensity: number) => number } =>
  write.units.weight === 'g' && write.byScale
    ? { called: 'a gram', ml: (ofDensity) => 1 / ofDensity }
    : { called: '¼ tsp', ml: () => 1 / inUnit(volume, 1, 'tsp') / 4 };

/** The size of a drop as it is counted: "36 to a gram", "49 to ¼ tsp". */
export const writeDrop = (dropMl: number, ofDensity: number, write: Writes): string => {
  const { called, ml } = counts(write);
  return `${plain(ml(ofDensity) / dropMl, 1)} to ${called}`;
};

/**
 * Reads the size of a drop: "0.025 ml", or counted, "36 to a gram", "49 to ¼ tsp".
 * @param ofDensity of what drips, g/ml
 */
export function readDrop(text: string, ofDensity: number, write: Writes): Reading {
  const counted = /^\s*([\d.,]+)\s*(?:drops?\s*)?(?:to an?|to|per|\/|an?)\s*(.*?)\s*$/i.exec(text);
  if (!counted) return readWithin(volume, text, limits.drop, 'A drop', (v) => `${plain(v, 3)} ml`);
  const unit = /^\d|^[¼½¾]/.test(counted[2]!) ? counted[2]! : `1 ${counted[2]!}`;
  const [byWeight, byVolume] = [read(mass, unit), read(volume, unit)];
  const of = byWeight.ok ? byWeight.value / ofDensity : byVolume.ok ? byVolume.value : undefined;
  const count = Number(counted[1]!.replace(',', '.'));
  const each = of === undefined ? NaN : of / count;
  return each >= limits.drop.min && each <= limits.drop.max
    ? { ok: true, value: Number(each.toPrecision(5)) }
    : {
        ok: false,
        says: `“${text.trim()}” is outside what drips. Count the drops, as in “${writeDrop(0.025, ofDensity, write)}”.`,
      };
}

export type MarksReading = { ok: true; value: Mark[] } | { ok: false; says: string };

/** Two marks as they are typed, in the studio's units. */
export const exampleMarks = ({ units, byScale }: Writes): string => {
  const [low, high] = units.length === 'in' ? ['1 in', '1 3/4 in'] : ['23 mm', '41 mm'];
  if (units.volume === 'fl oz') return `2 fl oz at ${low}, 4 fl oz at ${high}`;
  return byScale ? `50 g at ${low}, 100 g at ${high}` : `50 ml at ${low}, 100 ml at ${high}`;
};

/**
 * Reads the marks of a cup as they were made by filling it with water: "50 g at 23 mm, 100 ml at 41 mm". Lowest first or
 * not, each above the one before it. An empty text takes them off.
 * @param holds what the cup holds, ml
 */
export function readMarks(text: string, holds: number, write: Writes): MarksReading {
  if (!text.trim()) return { ok: true, value: [] };
  const { units } = write;
  const example = exampleMarks(write);
  const marks: Mark[] = [];
  for (const part of text.split(/[;,]\s+|;|\n/)) {
    const [water, height, more] = part.split(/\s+at\s+|\s*@\s*/);
    if (height === undefined || more !== undefined)
      return { ok: false, says: `“${part.trim()}” is no mark. Write water and height, as in “${example}”.` };
    const [filled, weighed, mm] = [
      read(volume, water!, units.volume),
      read(mass, water!, units.weight),
      read(length, height, units.length),
    ];
    // a bare number is what the scale shows
    const byVolume = filled.ok && (!weighed.ok || units.volume !== 'ml' || !write.byScale);
    const amount = byVolume ? filled : weighed;
    if (!amount.ok) return amount;
    if (!mm.ok) return mm;
    if (amount.value <= 0 || mm.value <= 0 || mm.value > limits.markMm.max)
      return {
        ok: false,
        says: `“${part.trim()}” is no mark: both are above 0, and no cup is over ${write.length(limits.markMm.max)} high.`,
      };
    const mark = byVolume ? { ml: amount.value, mm: mm.value } : markFromWater(amount.value, mm.value, WATER_C);
    marks.push({ ml: Number(mark.ml.toPrecision(6)), mm: mark.mm });
  }
  marks.sort((a, b) => a.ml - b.ml);
  const bad = marks.findIndex((m, i) => i > 0 && (m.ml <= marks[i - 1]!.ml || m.mm <= marks[i - 1]!.mm));
  if (bad > 0) return { ok: false, says: 'More water must stand higher. Look at the marks again.' };
  if (marks.at(-1)!.ml > holds * 1.01) return { ok: false, says: `The highest mark is over what the cup holds, ${write.volume(holds)}.` };
  return { ok: true, value: marks };
}

/** Marks as they are typed. */
export const writeMarks = (marks: Mark[], write: Writes): string =>
  marks
    .map(
      (m) =>
        `${plain(inUnit(volume, m.ml, write.units.volume), write.units.volume === 'ml' ? 1 : 2)} ${write.units.volume} at ${write.fine(m.mm)}`,
    )
    .join(', ');
