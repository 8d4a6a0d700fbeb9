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
import * as write from './write';

/** Every measure written in the units of one studio, so that no screen has to ask for them one by one. */
export function writesIn(units: Units) {
  const { length, volume, temperature, weight = 'g', measure = 'scale' } = units;
  return {
    units: { length, volume, temperature, weight },
    /** Whether a scale stands on the bench; by marked cups nothing is told in weight that has a volume. */
    byScale: measure === 'scale',
    length: (mm: number): string => write.writeLength(mm, length),
    fine: (mm: number, digits?: number): string => write.writeFine(mm, length, digits),
    fineFigure: (mm: number): string => write.fineFigure(mm, length),
    film: (mm: number): string => write.writeFine(mm, length, 2),
    run: (mm: number): string => write.writeRun(mm, length),
    area: (mm2: number): string => write.writeArea(mm2, length),
    volume: (ml: number): string => write.writeVolume(ml, volume),
    volumeFigure: (ml: number): string => write.volumeFigure(ml, volume),
    coverage: (mm: number): string => write.writeCoverage(mm, volume),
    weight: (g: number, digits?: number): string => write.writeWeight(g, weight, digits),
    weightFigure: (g: number, digits?: number): string => write.weightFigure(g, weight, digits),
    /** What is measured by itself, as A and B are: its weight by scale, its volume by marked cups; and both, for words. */
    measuredUnit: measure === 'scale' ? weight : volume,
    measured: (g: number, ml: number): string => (measure === 'scale' ? write.weightFigure(g, weight) : write.volumeFigure(ml, volume)),
    measure: (g: number, ml: number, digits?: number): string =>
      measure === 'scale' ? write.writeWeight(g, weight, digits) : write.writeVolume(ml, volume),
    heavy: (g: number): string => write.writeHeavy(g, weight),
    temperature: (celsius: number, digits?: number): string => write.writeTemperature(celsius, temperature, digits),
    warmer: (kelvin: number): string => write.writeWarmer(kelvin, temperature),
    density: (gPerMl: number): string => write.writeDensity(gPerMl, volume),
    viscosity: write.writeViscosity,
    perRun: (mlPerM: number): string => write.writePerRun(mlPerM, units),
  };
}

/** How a studio writes what it measures. */
export type Writes = ReturnType<typeof writesIn>;

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
