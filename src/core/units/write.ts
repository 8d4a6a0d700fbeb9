import { binaryInches, figures, fixed, plain } from './plain';
import { area, density, film, length, mass, temperature, viscosity, volume, type Quantity } from './quantity';

export type LengthUnit = 'mm' | 'cm' | 'in';
export type VolumeUnit = 'ml' | 'fl oz';
export type WeightUnit = 'g' | 'oz wt';
export type TemperatureUnit = '°C' | '°F';

/**
 * The units a studio reads, each by its own choice, and what it measures with. Grams and a scale where nothing was chosen.
 */
export interface Units {
  length: LengthUnit;
  volume: VolumeUnit;
  temperature: TemperatureUnit;
  weight?: WeightUnit | undefined;
  measure?: 'scale' | 'marked cups' | undefined;
}

/** A value of the quantity's first unit, turned into another of its units. */
export function inUnit(q: Quantity, value: number, unitName: string): number {
  const unit = q.units.find((u) => u.name === unitName);
  if (!unit) throw new RangeError(`${q.name} has no unit ${unitName}`);
  return value / unit.factor - (unit.offset ?? 0);
}

/** The finest mark that is worth reading off a rule, of an inch: a sixteenth, and finer only on what is small. */
const marks = (inches: number): number => (inches >= 2 ? 16 : inches >= 0.25 ? 32 : 64);

/** mm → "400", "40" or "15 3/4", for a place whose unit is named elsewhere. */
export function lengthFigure(mm: number, unit: LengthUnit): string {
  const value = inUnit(length, mm, unit);
  return unit === 'in' ? binaryInches(value, marks(Math.abs(value))) : plain(value, unit === 'mm' ? 0 : 1);
}

/** mm → "400 mm", "40 cm" or "15 3/4 in". */
export const writeLength = (mm: number, unit: LengthUnit): string => `${lengthFigure(mm, unit)} ${unit}`;

/** A small thickness or height, finer than a rule shows it: mm → "1.5", "0.15" or "0.059". */
export function fineFigure(mm: number, unit: LengthUnit, digits = 1): string {
  const value = inUnit(length, mm, unit);
  return plain(value, unit === 'in' ? (digits > 1 || Math.abs(value) < 0.095 ? 3 : 2) : digits + (unit === 'cm' ? 1 : 0));
}

/** The same with its unit: "1.5 mm", "0.15 cm" or "0.059 in". */
export const writeFine = (mm: number, unit: LengthUnit, digits = 1): string => `${fineFigure(mm, unit, digits)} ${unit}`;

/** A run of rim or shore, mm → "1.4 m" or "4.6 ft". */
export const writeRun = (mm: number, unit: LengthUnit): string =>
  unit === 'in' ? `${plain(inUnit(length, mm, 'ft'), 1)} ft` : `${plain(mm / 1000, 2)} m`;

/** mm² → "412 cm²"; where lengths are read in inches "64 sq in", and "3.1 sq ft" from two of them on. */
export function writeArea(mm2: number, unit: LengthUnit): string {
  if (unit !== 'in') return `${plain(inUnit(area, mm2, 'cm²'), mm2 < 1000 ? 1 : 0)} cm²`;
  const feet = inUnit(area, mm2, 'sq ft');
  if (feet >= 2) return `${plain(feet, 1)} sq ft`;
  const inches = inUnit(area, mm2, 'sq in');
  return `${plain(inches, inches < 10 ? 1 : 0)} sq in`;
}

/** Decimals a measured volume is worth: tenths of a ml under 10 ml, hundredths of an ounce and thousandths of a little. */
const volumeDigits = (value: number, unit: VolumeUnit): number => (unit === 'fl oz' ? (value < 0.1 ? 3 : 2) : value < 10 ? 1 : 0);

/** ml → "187" or "6.32", for a column headed with the unit; small amounts keep a decimal more. */
export function volumeFigure(ml: number, unit: VolumeUnit): string {
  const value = inUnit(volume, ml, unit);
  return fixed(value, volumeDigits(value, unit));
}

/** ml → "187 ml" or "6.32 fl oz". */
export const writeVolume = (ml: number, unit: VolumeUnit): string => `${volumeFigure(ml, unit)} ${unit}`;

/** A film as the coverage artists speak of, mm → "15 ml/100 cm²" or "2 fl oz/sq ft". */
export const writeCoverage = (mm: number, unit: VolumeUnit): string =>
  unit === 'ml' ? `${plain(inUnit(film, mm, 'ml/100 cm²'), 1)} ml/100 cm²` : `${plain(inUnit(film, mm, 'fl oz/sq ft'), 1)} fl oz/sq ft`;

/** Grams to the digits given, or ounces by weight to as fine a share: a tenth of a gram is four thousandths of an ounce. */
export function weightFigure(g: number, unit: WeightUnit = 'g', digits = 1): string {
  if (unit === 'g') return fixed(g, digits);
  const ounces = inUnit(mass, g, unit);
  return fixed(ounces, Math.max(0, digits) + (ounces < 0.1 ? 2 : 1));
}

/** g → "92.4 g" or "3.26 oz wt". */
export const writeWeight = (g: number, unit: WeightUnit = 'g', digits = 1): string => `${weightFigure(g, unit, digits)} ${unit}`;

/** What a board or a hanger weighs, g → "2.4 kg" or "5.3 lb". */
export const writeHeavy = (g: number, unit: WeightUnit = 'g'): string =>
  unit === 'g' ? `${plain(g / 1000, 1)} kg` : `${plain(inUnit(mass, g, 'lb'), 1)} lb`;

/** °C → "21.4 °C" or "70.5 °F". */
export const writeTemperature = (celsius: number, unit: TemperatureUnit, digits = 1): string =>
  `${plain(inUnit(temperature, celsius, unit), digits)} ${unit}`;

/** A difference of temperature, K → "5 °C" or "9 °F". */
export const writeWarmer = (kelvin: number, unit: TemperatureUnit): string =>
  unit === '°C' ? `${plain(kelvin, 0)} °C` : `${plain(kelvin * 1.8, 0)} °F`;

/** g/ml → "1.15 g/ml" or "9.6 lb/gal". */
export const writeDensity = (gPerMl: number, unit: VolumeUnit): string =>
  unit === 'ml' ? `${plain(gPerMl, 3)} g/ml` : `${plain(inUnit(density, gPerMl, 'lb/gal'), 2)} lb/gal`;

/** Something for each metre of rim, ml → "6 ml a metre" or "0.06 fl oz a foot". */
export const writePerRun = (mlPerM: number, units: Pick<Units, 'length' | 'volume'>): string =>
  units.length === 'in'
    ? `${figures(inUnit(volume, mlPerM * 0.3048, units.volume), 2)} ${units.volume} a foot`
    : `${figures(inUnit(volume, mlPerM, units.volume), 2)} ${units.volume} a metre`;

/** Pa·s → "900 mPa·s", which a data sheet may call cps. */
export const writeViscosity = (pas: number): string => `${figures(inUnit(viscosity, pas, 'mPa·s'), 3)} mPa·s (cps)`;

/** A fraction of 1 as "6 %" or "0.12 %". */
export function writeShare(share: number): string {
  const percent = share * 100;
  return `${plain(percent, percent < 1 ? 2 : 1)} %`;
}
