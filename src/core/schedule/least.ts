/** The least of a stretch of values that moves downward, and where it stands first. */
export class LeastBelow {
  readonly #kept: Int32Array;
  #head = 0;
  #tail = 0;
  #low: number;

  /** @param values of which Infinity is none */
  constructor(readonly values: Float64Array) {
    this.#kept = new Int32Array(values.length);
    this.#low = values.length;
  }

  /**
   * Where the least of a stretch stands, the first of several; −1 where there is none. Neither end may be higher than it was
   * at the time before.
   */
  at(from: number, until: number): number {
    const { values } = this;
    const kept = this.#kept;
    while (this.#low > from) {
      const value = values[--this.#low]!;
      if (value === Infinity) continue;
      while (this.#tail > this.#head && values[kept[this.#tail - 1]!]! >= value) this.#tail--;
      kept[this.#tail++] = this.#low;
    }
    while (this.#tail > this.#head && kept[this.#head]! > until) this.#head++;
    return this.#tail > this.#head ? kept[this.#head]! : -1;
  }
}
