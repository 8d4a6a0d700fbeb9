import type { Airs } from '#core/cure';
import type { Method, Resin, Room } from '#core/document';

const MINUTE = 60_000;

/** Ages gathered over the days, one list a resin and room, for films that set and for what hardens above a lowest temperature. */
export class Films {
  readonly #kept = new Map<string, number>();
  readonly ages: Float64Array[][] = [];

  /**
   * @param start ms since 1970
   * @param slot  min
   */
  constructor(
    readonly airs: Airs,
    readonly rooms: Room[],
    readonly method: Pick<Method, 'activationEa'>,
    readonly start: number,
    readonly slot: number,
    readonly slots: number,
  ) {}

  /** The number of a resin's ages. @param hardens where cold holds them up */
  of(resin: Pick<Resin, 'refC' | 'lowestC'>, hardens = false): number {
    const floor = hardens ? resin.lowestC : -Infinity;
    const key = `${resin.refC} ${floor}`;
    let number = this.#kept.get(key);
    if (number === undefined) {
      number = this.ages.length;
      this.#kept.set(key, number);
      this.ages.push(this.rooms.map((room) => this.#gathered(room, resin.refC, floor)));
    }
    return number;
  }

  #gathered(room: Room, refC: number, floorC: number): Float64Array {
    const line = this.airs.line(room, refC, this.method.activationEa, floorC);
    const ages = new Float64Array(this.slots + 1);
    const step = this.slot * MINUTE;
    for (let t = 1; t <= this.slots; t++) ages[t] = ages[t - 1]! + line.between(this.start + (t - 1) * step, this.start + t * step);
    return ages;
  }
}
