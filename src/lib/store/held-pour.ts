import type { PourEvent } from '#core/document';
import { isRecorded, type Happening } from '#core/record';
import { benchClock } from './clock';
import { GoneError, record } from './pours';

/** How an event of a pour is stored: its number, or undefined where it stood already. */
type Store = (pourId: string, happening: Happening, at: number) => Promise<number | undefined>;

/**
 * What happens in a pour, stored before it is shown. Where the disk takes nothing more it is held here, so that a pour can
 * go on: it is offered as a file, and goes to the disk with the next event that can.
 */
export class HeldPour {
  #held: PourEvent[] = [];
  #last: Promise<unknown> = Promise.resolve();

  /**
   * @param changed told what is held, whenever that changes
   */
  constructor(
    readonly id: string,
    readonly changed: (held: PourEvent[]) => void,
    readonly store: Store = record,
    readonly now: () => number = () => benchClock.now(),
  ) {}

  get held(): readonly PourEvent[] {
    return this.#held;
  }

  /**
   * Keeps that something happened, now. One after the other, however fast they are pressed.
   * @param known all events of the pour as it is shown, with those that are held
   * @returns the failure where it is held and not on the disk
   * @throws GoneError where the pour is not in the studio any more
   */
  happen(happening: Happening, known: () => PourEvent[]): Promise<unknown> {
    const at = this.now();
    const mine = this.#last.then(() => this.#keep(happening, at, known));
    this.#last = mine.catch(() => undefined);
    return mine;
  }

  async #keep(happening: Happening, at: number, known: () => PourEvent[]): Promise<unknown> {
    try {
      await this.#flush();
      await this.store(this.id, happening, at);
      return undefined;
    } catch (failure) {
      if (failure instanceof GoneError) throw failure;
      const all = known();
      const event = { ...happening, seq: (all.at(-1)?.seq ?? 0) + 1, at: new Date(at).toISOString() } as PourEvent;
      if (!isRecorded(event, all)) this.#hold([...this.#held, event]);
      return failure;
    }
  }

  /** What is held goes to the disk first, in its order; one that was taken back by number is so still. */
  async #flush(): Promise<void> {
    const numbers = new Map<number, number>();
    while (this.#held.length) {
      const [{ seq, at, ...happening }, ...rest] = this.#held as [PourEvent, ...PourEvent[]];
      const own: Happening =
        happening.kind === 'undone' ? { ...happening, undoes: numbers.get(happening.undoes) ?? happening.undoes } : happening;
      const stored = await this.store(this.id, own, Date.parse(at));
      if (stored !== undefined) numbers.set(seq, stored);
      this.#hold(rest);
    }
  }

  /** Tries again to store what is held. */
  retry(): Promise<unknown> {
    const mine = this.#last.then(() => this.#flush());
    this.#last = mine.catch(() => undefined);
    return mine;
  }

  #hold(held: PourEvent[]): void {
    this.#held = held;
    this.changed(held);
  }
}
