/**
 * A value that follows another when the browser has time to spare, at the latest a tenth of a second behind: what is
 * looked at beside a thing that is being dragged need not hold up its frames.
 */
export class AtLeisure<T> {
  #latest: T;
  #seen = $state.raw() as T;
  #waiting = false;

  /** Made while a component is. */
  constructor(read: () => T) {
    this.#seen = this.#latest = read();
    $effect(() => {
      this.#latest = read();
      if (this.#waiting || this.#latest === this.#seen) return;
      this.#waiting = true;
      soon(() => {
        this.#waiting = false;
        this.#seen = this.#latest;
      });
    });
  }

  get current(): T {
    return this.#seen;
  }
}

const soon = (then: () => void): void => {
  if ('requestIdleCallback' in globalThis) requestIdleCallback(then, { timeout: 100 });
  else setTimeout(then, 50);
};
