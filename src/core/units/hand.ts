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
    perRun: (mlPerM: number): string => write.writePerRun(mlPerM, units),
  };
}

/** How a studio writes what it measures. */
export type Writes = ReturnType<typeof writesIn>;
