import { Climate, type Zone } from '#core/air';
import type { AirDay, Room } from '#core/document';
import { AgeLine } from './age-line';

/**
 * The air of a studio's rooms, with what was read in them, and the ages gathered there: one line a room and resin, kept for
 * as long as the readings are.
 */
export class Airs {
  readonly #climates = new WeakMap<Room, Climate>();
  /** A pour keeps its room as it was, mostly the same as that of the one before. */
  readonly #alike = new Map<string, Climate>();
  readonly #lines = new WeakMap<Climate, Map<string, AgeLine>>();

  constructor(
    readonly zone: Zone,
    readonly days: readonly AirDay[] = [],
  ) {}

  /** A room over the days. @param room as it usually is: that of a pour may be another than the studio's by now */
  of(room: Room): Climate {
    let climate = this.#climates.get(room);
    if (climate) return climate;
    const { id, dayC, nightC, dayHour, nightHour, humidity, heating } = room;
    const key = JSON.stringify([id, dayC, nightC, dayHour, nightHour, humidity, heating]);
    climate = this.#alike.get(key) ?? new Climate(room, this.days, this.zone);
    this.#alike.set(key, climate);
    this.#climates.set(room, climate);
    return climate;
  }

  /** The ages gathered in a room. @param ea kJ/mol @param floorC colder than this none is */
  line(room: Room, refC: number, ea: number, floorC = -Infinity): AgeLine {
    const climate = this.of(room);
    let lines = this.#lines.get(climate);
    if (!lines) this.#lines.set(climate, (lines = new Map()));
    const key = `${refC} ${ea} ${floorC}`;
    let line = lines.get(key);
    if (!line) lines.set(key, (line = new AgeLine(climate.at, refC, ea, floorC)));
    return line;
  }
}
