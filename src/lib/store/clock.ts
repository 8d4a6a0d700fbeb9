/** Where the time passed comes from: the wall's clock, one that only ever runs on, and whether the page is put away. */
export interface Sources {
  wall: () => number;
  running: () => number;
  hidden: () => boolean;
  /** How far this clock is off the wall, kept over a reload, ms. */
  read: () => number;
  keep: (off: number) => void;
}

/** A jump of the wall's clock less than this is its ordinary drift, ms. */
const JUMP = 2000;

/**
 * A clock that runs on the time that passed. The wall's may be put back or on in the middle of a pour, by hand or over
 * the net; the age of a film does not follow. A tablet that sleeps stops the running clock and not the resin: what passed
 * while the page was put away is the wall's.
 */
export class BenchClock {
  readonly #of: Sources;
  /** Ms to add to the wall's clock. */
  #off: number;
  #wall: number;
  #running: number;
  #away = false;
  #skipped = 0;

  constructor(of: Sources) {
    this.#of = of;
    this.#off = of.read();
    [this.#wall, this.#running] = [of.wall(), of.running()];
  }

  /** Ms since 1970 as they passed. Asked often enough while the page shows, a jump is seen as one. */
  now(): number {
    const { wall, running, hidden, keep } = this.#of;
    const [w, r] = [wall(), running()];
    const jump = w - this.#wall - (r - this.#running);
    this.#away ||= hidden();
    const slept = this.#away && jump > 0;
    if (Math.abs(jump) > JUMP && !slept) {
      this.#off -= jump;
      this.#skipped = jump > 0 ? jump : 0;
      keep(this.#off);
    }
    this.#away = hidden();
    [this.#wall, this.#running] = [w, r];
    return w + this.#off;
  }

  /** The page is being put away, or shown again: time from here on may be slept through, and another window may know better. */
  turn(): void {
    this.now();
    this.#away = true;
    this.#off = this.#of.read();
  }

  /** How far the wall's clock last went on with the page in view, ms: it was set, or a lid was closed without a word. */
  get skipped(): number {
    return this.#skipped;
  }

  /** That was sleep after all: it counts. Or it was not, and is no longer asked about. */
  settle(slept: boolean): void {
    if (slept) this.#of.keep((this.#off += this.#skipped));
    this.#skipped = 0;
  }

  /** Goes by the wall's clock again, where nothing under way would feel it. */
  reset(): void {
    [this.#off, this.#skipped] = [0, 0];
    this.#of.keep(0);
    [this.#wall, this.#running] = [this.#of.wall(), this.#of.running()];
  }
}

const OFF = 'nerite-clock-off';

/** Where a browser lets nothing be kept, asking for its storage throws; the clock then begins anew with each page. */
function inStorage<T>(work: (storage: Storage) => T): T | undefined {
  try {
    return work(localStorage);
  } catch {
    return undefined;
  }
}

/** The clock of this browser's bench; all its windows share how far it is off. */
export const benchClock = new BenchClock({
  wall: () => Date.now(),
  running: () => performance.now(),
  hidden: () => globalThis.document?.visibilityState === 'hidden',
  read: () => Number(inStorage((storage) => storage.getItem(OFF))) || 0,
  keep: (off) => inStorage((storage) => (off ? storage.setItem(OFF, String(off)) : storage.removeItem(OFF))),
});
