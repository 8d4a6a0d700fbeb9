import type { AirDay, AirReading } from '#core/document';

const [MINUTE, HOUR, DAY] = [60_000, 3_600_000, 86_400_000];

/** What a thermometer showed at a moment, ms since 1970. */
export interface AirAt extends Omit<AirReading, 'min'> {
  ms: number;
}

/** All readings of a room in order of time. @param days of any rooms, in any order */
export const readingsOf = (days: readonly AirDay[], roomId: string): AirAt[] =>
  days
    .filter((day) => day.roomId === roomId)
    .flatMap(({ day, readings }) => {
      const start = Date.parse(`${day}T00:00Z`);
      return readings.map(({ min, ...read }) => ({ ms: start + min * MINUTE, ...read }));
    })
    .sort((a, b) => a.ms - b.ms);

const dayOf = (ms: number): string => new Date(ms).toISOString().slice(0, 10);
const rounded = (value: number, to: number): number => Math.round(value / to) * to;

/** A reading as a day keeps it: to the minute, a hundredth of a degree, a thousandth. */
const kept = ({ ms, celsius, humidity }: AirAt): AirReading => ({
  min: Math.floor((((ms % DAY) + DAY) % DAY) / MINUTE),
  celsius: Number(rounded(celsius, 0.01).toFixed(2)),
  ...(humidity !== undefined && { humidity: Number(rounded(humidity, 0.001).toFixed(3)) }),
});

/**
 * The days of a room that some readings change, with what they hold then. Of two readings in one minute the later holds.
 * @param days as they are, of any rooms
 */
export function daysWith(days: readonly AirDay[], roomId: string, read: readonly AirAt[]): AirDay[] {
  const added = new Map<string, AirAt[]>();
  for (const reading of read) {
    const day = dayOf(reading.ms);
    const own = added.get(day);
    if (own) own.push(reading);
    else added.set(day, [reading]);
  }
  return [...added].map(([day, own]) => {
    const before = days.find((d) => d.roomId === roomId && d.day === day)?.readings ?? [];
    const byMinute = new Map([...before, ...own.map(kept)].map((reading) => [reading.min, reading]));
    return { id: `${roomId}-${day}`, roomId, day, readings: [...byMinute.values()].sort((a, b) => a.min - b.min) };
  });
}

const mean = (values: number[]): number => values.reduce((sum, v) => sum + v, 0) / values.length;

/** Readings of which several fall into an hour as one for the hour, in its middle; those further apart as they are. In order of time. */
export function byTheHour(read: readonly AirAt[]): AirAt[] {
  const hours = new Map<number, AirAt[]>();
  for (const reading of read) {
    const hour = Math.floor(reading.ms / HOUR);
    const own = hours.get(hour);
    if (own) own.push(reading);
    else hours.set(hour, [reading]);
  }
  return [...hours.values()]
    .map((own): AirAt => {
      if (own.length === 1) return own[0]!;
      const damp = own.flatMap((r) => r.humidity ?? []);
      return {
        ms: mean(own.map((r) => r.ms)),
        celsius: mean(own.map((r) => r.celsius)),
        ...(damp.length > 0 && { humidity: mean(damp) }),
      };
    })
    .sort((a, b) => a.ms - b.ms);
}
