import { fromAbsolute, parseDateTime, toZoned, type ZonedDateTime } from '@internationalized/date';

const [MINUTE, DAY] = [60_000, 86_400_000];

/**
 * Civil time of a studio. Days are those of its calendar, of 23 or 25 hours where clocks change. What it has looked up of
 * its zone it keeps.
 */
export class Zone {
  /** Minutes ahead of UTC at the beginning of each day of UTC, by the number of the day. */
  readonly #offsets = new Map<number, number>();

  /** @param name of the IANA data base, as "Europe/Oslo" @throws RangeError where there is none of that name */
  constructor(readonly name: string) {
    try {
      new Intl.DateTimeFormat('en-GB', { timeZone: name });
    } catch {
      throw new RangeError(`“${name}” is no time zone. Write one as “Europe/Oslo” or “UTC”.`);
    }
  }

  #at(ms: number): ZonedDateTime {
    return fromAbsolute(ms, this.name);
  }

  #atDay(day: number): number {
    let offset = this.#offsets.get(day);
    if (offset === undefined) this.#offsets.set(day, (offset = this.#at(day * DAY).offset / MINUTE));
    return offset;
  }

  /** Local time ahead of UTC, min. @param ms since 1970 */
  offsetAt(ms: number): number {
    const day = Math.floor(ms / DAY);
    const [begins, ends] = [this.#atDay(day), this.#atDay(day + 1)];
    return begins === ends ? begins : this.#at(ms).offset / MINUTE;
  }

  /** Minutes of local clocks, of which a day has 1440; whole days are counted from 1970. @param ms since 1970 */
  localMinute = (ms: number): number => ms / MINUTE + this.offsetAt(ms);

  /** The day a moment lies in, "2026-11-25". */
  dayOf = (ms: number): string => this.civil(ms).slice(0, 10);

  /** A moment as local clocks show it, "2026-11-25T14:36". */
  civil = (ms: number): string => new Date(ms + this.offsetAt(ms) * MINUTE).toISOString().slice(0, 16);

  /**
   * The moment local clocks show a time, ms since 1970: of two the earlier, and where clocks leap over it as much later.
   * @param civil "2026-11-25T14:36" @throws Error where it is no time
   */
  momentOf = (civil: string): number => toZoned(parseDateTime(civil), this.name).toDate().getTime();

  /** The beginning of the day so many days after the one a moment lies in, ms since 1970. */
  dayStart = (ms: number, days = 0): number => {
    const { year, month, day } = this.#at(ms).add({ days });
    const two = (n: number): string => String(n).padStart(2, '0');
    return this.momentOf(`${String(year).padStart(4, '0')}-${two(month)}-${two(day)}T00:00`);
  };
}
