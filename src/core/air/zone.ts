import { tzOffset } from '@date-fns/tz/tzOffset';

const [MINUTE, DAY] = [60_000, 86_400_000];

/**
 * Civil time of a studio. Days are those of its calendar, of 23 or 25 hours where clocks change. What it has looked up of
 * its zone it keeps.
 */
export class Zone {
  /** Minutes ahead of UTC at the beginning of each day of UTC, by the number of the day. */
  readonly #offsets = new Map<number, number>();

  /** @param name of the IANA data base, as "CET" @throws RangeError where there is none of that name */
  constructor(readonly name: string) {
    try {
      new Intl.DateTimeFormat('en-GB', { timeZone: name });
    } catch {
      throw new RangeError(`“${name}” is no time zone. Write one as “CET” or “UTC”.`);
    }
  }

  #lookedUp(ms: number): number {
    return tzOffset(this.name, new Date(ms));
  }

  #atDay(day: number): number {
    let offset = this.#offsets.get(day);
    if (offset === undefined) this.#offsets.set(day, (offset = this.#lookedUp(day * DAY)));
    return offset;
  }

  /** Local time ahead of UTC, min. @param ms since 1970 */
  offsetAt(ms: number): number {
    const day = Math.floor(ms / DAY);
    const [begins, ends] = [this.#atDay(day), this.#atDay(day + 1)];
    return begins === ends ? begins : this.#lookedUp(ms);
  }

  /** Minutes of local clocks, of which a day has 1440; whole days are counted from 1970. @param ms since 1970 */
  localMinute = (ms: number): number => ms / MINUTE + this.offsetAt(ms);

  /** The day a moment lies in, "2026-11-25". */
  dayOf = (ms: number): string => this.civil(ms).slice(0, 10);

  /** A moment as local clocks show it, "2026-11-25T14:36". */
  civil = (ms: number): string => new Date(ms + this.offsetAt(ms) * MINUTE).toISOString().slice(0, 16);

  /**
   * The moment local clocks show a time, ms since 1970: of two the earlier, and where clocks leap over it as much later.
   * @param civil "2026-11-25T14:36" @throws RangeError where it is no time
   */
  momentOf = (civil: string): number => {
    const shown = Date.parse(`${civil}Z`);
    if (Number.isNaN(shown)) throw new RangeError(`“${civil}” is no time; write one as 2026-11-25T14:36.`);
    // clocks change once in two days at most: the offset is that of the day before or that of the day after
    const [before, after] = [this.offsetAt(shown - DAY), this.offsetAt(shown + DAY)].map((offset) => shown - offset * MINUTE) as [
      number,
      number,
    ];
    const shows = (ms: number): boolean => ms + this.offsetAt(ms) * MINUTE === shown;
    return !shows(before) && shows(after) ? after : before;
  };

  /** The beginning of the day so many days after the one a moment lies in, ms since 1970. */
  dayStart = (ms: number, days = 0): number => {
    const day = new Date(`${this.dayOf(ms)}T00:00Z`);
    day.setUTCDate(day.getUTCDate() + days);
    return this.momentOf(day.toISOString().slice(0, 16));
  };
}
