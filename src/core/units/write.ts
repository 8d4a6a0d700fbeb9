import type { Quantity } from './quantity';
import { duration, length, temperature, volume } from './quantity';

/** A value of the quantity's first unit, turned into another of its units. */
export function inUnit(q: Quantity, value: number, unitName: string): number {
  const unit = q.units.find((u) => u.name === unitName);
  if (!unit) throw new RangeError(`${q.name} has no unit ${unitName}`);
  return value / unit.factor - (unit.offset ?? 0);
}

/** A number with a true minus sign and at most `digits` decimals, without trailing zeros. */
export const plain = (value: number, digits: number): string => String(Number(value.toFixed(digits))).replace('-', '−');

/** A number with exactly `digits` decimals, so that columns line up. */
export const fixed = (value: number, digits: number): string => value.toFixed(digits).replace('-', '−');

export type LengthUnit = 'mm' | 'cm' | 'in';
export type VolumeUnit = 'ml' | 'fl oz';
export type TemperatureUnit = '°C' | '°F';

const lengthDigits: Record<LengthUnit, number> = { mm: 0, cm: 1, in: 2 };

/** mm → "400 mm", "40 cm" or "15.75 in". */
export const writeLength = (mm: number, unit: LengthUnit): string => `${plain(inUnit(length, mm, unit), lengthDigits[unit])} ${unit}`;

/** Decimals a measured volume is worth: tenths of a ml under 10 ml, hundredths of an ounce. */
const volumeDigits = (value: number, unit: VolumeUnit): number => (unit === 'fl oz' ? 2 : value < 10 ? 1 : 0);

/** ml → "187" or "6.32", for a column headed with the unit; small amounts keep a decimal more. */
export function volumeFigure(ml: number, unit: VolumeUnit): string {
  const value = inUnit(volume, ml, unit);
  return fixed(value, volumeDigits(value, unit));
}

/** ml → "187 ml" or "6.32 fl oz". */
export const writeVolume = (ml: number, unit: VolumeUnit): string => `${volumeFigure(ml, unit)} ${unit}`;

/** °C → "21.4 °C" or "70.5 °F". */
export const writeTemperature = (celsius: number, unit: TemperatureUnit): string =>
  `${plain(inUnit(temperature, celsius, unit), 1)} ${unit}`;

/** A range of minutes as the craft writes it: "14–31 min", "6–14 h", "2–3 d". */
export function writeSpan(fromMin: number, untilMin: number): string {
  const unit = untilMin < 180 ? 'min' : untilMin < 4320 ? 'h' : 'd';
  const write = (min: number): string => {
    const value = inUnit(duration, min, unit);
    return plain(value, unit === 'min' || value >= 10 ? 0 : 1);
  };
  return `${write(fromMin)}–${write(untilMin)} ${unit}`;
}

/** Whether a minute is past a range on the bench's clock, which tells whole minutes: less than half a minute over is on time. */
export const isPast = (minute: number, { until }: { until: number }): boolean => Math.round(minute) > Math.round(until);

/** Minutes as "38 min", "6.5 h" or "3 d". */
export function writeDuration(min: number): string {
  const unit = min < 180 ? 'min' : min < 4320 ? 'h' : 'd';
  return `${plain(inUnit(duration, min, unit), unit === 'min' ? 0 : 1)} ${unit}`;
}

/** Hours of work as "15 min" or "3.75 h". */
export const writeHours = (h: number): string => (h < 1 ? `${plain(h * 60, 0)} min` : `${plain(h, 2)} h`);

/** A fraction of 1 as "6 %" or "0.12 %". */
export function writeShare(share: number): string {
  const percent = share * 100;
  return `${plain(percent, percent < 1 ? 2 : 1)} %`;
}

/** mm² → "412 cm²" or "63.9 in²" where lengths are read in inches. */
export const writeArea = (mm2: number, unit: LengthUnit): string =>
  unit === 'in' ? `${plain(mm2 / 25.4 ** 2, mm2 < 6450 ? 1 : 0)} in²` : `${plain(mm2 / 100, mm2 < 1000 ? 1 : 0)} cm²`;
