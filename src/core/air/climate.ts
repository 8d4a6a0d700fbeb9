import type { AirDay, Room } from '#core/document';
import type { Air } from './air';
import { roomAt } from './air';
import { humidityAt } from './damp';
import { readingsOf, type AirAt } from './days';
import type { Zone } from './zone';

const [MINUTE, QUARTER, HOUR] = [60_000, 900_000, 3_600_000];
/** Between readings no further apart than this the air runs straight, ms; a wider gap is as the room usually is. */
const GAP = 6 * HOUR;
/** How far the air is from usual fades over this, ms, once nothing is read. */
const FADES = 3 * HOUR;

/**
 * The air of a room over the days: as it was read where it was, and as it usually is elsewhere. After the last reading, and
 * at the ends of a wide gap, it goes over from the one to the other within some hours.
 */
export class Climate {
  readonly #nodes: AirAt[];

  /** @param days readings of any rooms; only those of this one count */
  constructor(
    readonly room: Room,
    days: readonly AirDay[],
    readonly zone: Zone,
  ) {
    this.#nodes = readingsOf(days, room.id);
  }

  #usual = (ms: number): number => roomAt(this.room, this.zone.localMinute(ms));

  /** The number of readings up to a moment. */
  #upTo(ms: number): number {
    let [low, high] = [0, this.#nodes.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.#nodes[middle]!.ms <= ms) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  /** Air at a moment, °C. @param ms since 1970 */
  at = (ms: number): number => {
    const i = this.#upTo(ms);
    const [before, after] = [this.#nodes[i - 1], this.#nodes[i]];
    if (before && after && after.ms - before.ms <= GAP)
      return before.celsius + ((after.celsius - before.celsius) * (ms - before.ms)) / (after.ms - before.ms);
    const gap = before && after ? after.ms - before.ms : Infinity;
    /** What a reading at an end of the gap still says of a moment so long away from it. */
    const says = (node: AirAt | undefined): number => {
      if (!node) return 0;
      const away = Math.abs(ms - node.ms);
      return (node.celsius - this.#usual(node.ms)) * Math.exp(-away / FADES) * (1 - away / gap);
    };
    return this.#usual(ms) + says(before) + says(after);
  };

  /** Relative humidity at a moment: of the last reading that has it, or the room's own in the evening, as that air cools; undefined where neither is known. */
  humidity = (ms: number): number | undefined => {
    for (let i = this.#upTo(ms) - 1; i >= 0 && ms - this.#nodes[i]!.ms <= 4 * GAP; i--) {
      const { humidity, celsius } = this.#nodes[i]!;
      if (humidity !== undefined) return humidityAt(humidity, celsius, this.at(ms));
    }
    const { humidity, dayC } = this.room;
    return humidity === undefined ? undefined : humidityAt(humidity, dayC, this.at(ms));
  };

  /** From a moment on. @param start ms since 1970 */
  from =
    (start: number): Air =>
    (minute) =>
      this.at(start + minute * MINUTE);

  /** The last reading up to a moment. */
  last(ms: number): AirAt | undefined {
    return this.#nodes[this.#upTo(ms) - 1];
  }

  /** Readings of a stretch, in order of time. */
  readings(from: number, until: number): readonly AirAt[] {
    return this.#nodes.slice(this.#upTo(from - 1), this.#upTo(until));
  }

  /** How warm it was, or will be, over a stretch: the coldest, the warmest and the mean of its quarter hours, °C. */
  spread(from: number, until: number): { least: number; most: number; mean: number } {
    const n = Math.max(1, Math.ceil((until - from) / QUARTER));
    const read = Array.from({ length: n + 1 }, (_, i) => this.at(from + ((until - from) * i) / n));
    return { least: Math.min(...read), most: Math.max(...read), mean: read.reduce((sum, c) => sum + c, 0) / read.length };
  }

  /** What share of a stretch was read, without wide gaps; 0 to 1. */
  known(from: number, until: number): number {
    if (until <= from) return 0;
    let sum = 0;
    for (let i = Math.max(1, this.#upTo(from)); i < this.#nodes.length && this.#nodes[i - 1]!.ms < until; i++) {
      const [a, b] = [this.#nodes[i - 1]!.ms, this.#nodes[i]!.ms];
      if (b - a <= GAP) sum += Math.max(0, Math.min(b, until) - Math.max(a, from));
    }
    return sum / (until - from);
  }
}
