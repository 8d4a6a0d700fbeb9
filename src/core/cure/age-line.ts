import { LONGEST_WAIT, rate } from './rate';

const MINUTE = 60_000;
/** The air runs straight over a cell, min; over one its age runs straight too. */
const CELL = 15;
const CELLS = 96;
const DAY = CELL * CELLS * MINUTE;

/**
 * The age that films of one resin gather in one room, over its days: each day is integrated once, when it is first asked
 * for, so that an age between two moments, or the moment of an age, is looked up. What is gathered from one moment to a
 * third is exactly what is gathered to a second and on from there.
 */
export class AgeLine {
  /** Age at each cell's beginning since its day began, and at the day's end. */
  readonly #days = new Map<number, Float64Array>();
  readonly #rate: (ms: number) => number;

  /**
   * @param at     air by ms since 1970, °C
   * @param refC   of the data sheet, °C
   * @param ea     activation energy, kJ/mol
   * @param floorC colder than this no age is gathered: full hardness below a resin's lowest temperature
   */
  constructor(at: (ms: number) => number, refC: number, ea: number, floorC = -Infinity) {
    this.#rate = (ms) => {
      const celsius = at(ms);
      return celsius < floorC ? 0 : rate(celsius, refC, ea);
    };
  }

  #day(number: number): Float64Array {
    let ages = this.#days.get(number);
    if (!ages) {
      ages = new Float64Array(CELLS + 1);
      const start = number * DAY;
      const half = (CELL * MINUTE) / 2;
      let before = this.#rate(start);
      for (let i = 0; i < CELLS; i++) {
        const from = start + i * CELL * MINUTE;
        const [middle, after] = [this.#rate(from + half), this.#rate(from + 2 * half)];
        ages[i + 1] = ages[i]! + (CELL * (before + 4 * middle + after)) / 6;
        before = after;
      }
      this.#days.set(number, ages);
    }
    return ages;
  }

  /** Age since the day of a moment began. */
  #within(ms: number): number {
    const number = Math.floor(ms / DAY);
    const ages = this.#day(number);
    const cell = (ms - number * DAY) / (CELL * MINUTE);
    const i = Math.min(CELLS - 1, Math.floor(cell));
    return ages[i]! + (ages[i + 1]! - ages[i]!) * (cell - i);
  }

  /** Equivalent age gathered between two moments, min at refC. @param from, until ms since 1970 */
  between(from: number, until: number): number {
    const [first, last] = [Math.floor(from / DAY), Math.floor(until / DAY)];
    let sum = this.#within(until) - this.#within(from);
    for (let day = first; day < last; day++) sum += this.#day(day)[CELLS]!;
    return sum;
  }

  /** The moment a film that began at another reaches an age, ms since 1970; Infinity where it does not within 60 days. */
  momentOf(age: number, from: number): number {
    if (age <= 0) return from;
    let left = age + this.#within(from);
    const first = Math.floor(from / DAY);
    for (let number = first; number <= first + LONGEST_WAIT / (CELL * CELLS); number++) {
      const ages = this.#day(number);
      if (left > ages[CELLS]!) {
        left -= ages[CELLS]!;
        continue;
      }
      let [low, high] = [0, CELLS];
      while (high - low > 1) {
        const middle = (low + high) >> 1;
        if (ages[middle]! < left) low = middle;
        else high = middle;
      }
      const over = ages[high]! - ages[low]!;
      return number * DAY + (low + (over > 0 ? (left - ages[low]!) / over : 1)) * CELL * MINUTE;
    }
    return Infinity;
  }
}
