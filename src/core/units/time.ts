import { plain } from './plain';

const inUnit = (min: number, unit: 'min' | 'h' | 'd'): number => min / { min: 1, h: 60, d: 1440 }[unit];
const unitFor = (min: number): 'min' | 'h' | 'd' => (min < 180 ? 'min' : min < 4320 ? 'h' : 'd');

/** A range of minutes as the craft writes it: "14–31 min", "6–14 h", "2–3 d". */
export function writeSpan(fromMin: number, untilMin: number): string {
  const unit = unitFor(untilMin);
  const write = (min: number): string => {
    const value = inUnit(min, unit);
    return plain(value, unit === 'min' || value >= 10 ? 0 : 1);
  };
  return `${write(fromMin)}–${write(untilMin)} ${unit}`;
}

/** Whether a minute is past a range on the bench's clock, which tells whole minutes: less than half a minute over is on time. */
export const isPast = (minute: number, { until }: { until: number }): boolean => Math.round(minute) > Math.round(until);

/** Minutes as "38 min", "6.5 h" or "3 d". */
export function writeDuration(min: number): string {
  const unit = unitFor(min);
  return `${plain(inUnit(min, unit), unit === 'min' ? 0 : 1)} ${unit}`;
}

/** Hours of work as "15 min" or "3.75 h". */
export const writeHours = (h: number): string => (h < 1 ? `${plain(h * 60, 0)} min` : `${plain(h, 2)} h`);
