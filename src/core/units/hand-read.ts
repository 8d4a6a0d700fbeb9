import { writesIn } from './hand';
import {
  density,
  film,
  length as lengths,
  mass,
  temperature as temperatures,
  volume as volumes,
  type Quantity,
  type Reading,
} from './quantity';
import { readWithin, type Range } from './read';
import type { Units } from './write';

/** A reader of one quantity, held to a range. @param what how the thing is called at the start of a sentence, as in "A side" */
export type ReadsMeasure = (text: string, range: Range, what: string) => Reading;

/** Every measure read in any unit, a bare number in the studio's own. */
export function readsIn(units: Units) {
  const written = writesIn(units);
  const within =
    (q: Quantity, assume: string, shows: (value: number) => string): ReadsMeasure =>
    (text, range, what) =>
      readWithin(q, text, range, what, shows, assume);
  const { length, volume, temperature, weight } = written.units;
  return {
    length: within(lengths, length, written.length),
    fine: within(lengths, length, written.fine),
    film: within(film, length, written.film),
    volume: within(volumes, volume, written.volume),
    weight: within(mass, weight, (g) => written.weight(g)),
    heavy: within(mass, weight === 'g' ? 'kg' : 'lb', written.heavy),
    temperature: within(temperatures, temperature, (c) => written.temperature(c)),
    /** So much for each length of rim: “6 ml a metre”, “0.06 fl oz a foot”; a bare amount is for a metre or a foot. In ml a metre. */
    perRun: (text: string, range: Range, what: string): Reading => {
      const [, amount = text, run = length === 'in' ? 'ft' : 'm'] =
        /^(.*?)\s*(?:\/|\bper\b|\ban?\b)\s*(m|metre|meter|ft|foot)\.?$/i.exec(text.trim()) ?? [];
      const feet = /^f/i.test(run);
      const reading = readWithin(volumes, amount, { min: 0, max: Infinity }, what, written.volume, volume);
      if (!reading.ok) return reading;
      const value = Number((feet ? reading.value / 0.3048 : reading.value).toPrecision(9));
      return value >= range.min && value <= range.max
        ? { ok: true, value }
        : {
            ok: false,
            says: `${what} of ${written.perRun(value)} is outside what can be planned. Give ${written.perRun(range.min)} to ${written.perRun(range.max)}.`,
          };
    },
    density: within(density, volume === 'ml' ? 'g/ml' : 'lb/gal', written.density),
  };
}

/** How a studio reads what is typed. */
export type Reads = ReturnType<typeof readsIn>;
