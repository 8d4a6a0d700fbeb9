import { kept, type Kept } from './task';
import type { Pictured } from './likeness-shelf';
import type { LikenessAsked, LikenessWork } from './likeness.worker';

export { keptPicture, type Pictured } from './likeness-shelf';
export type { LikenessAsked } from './likeness.worker';

const make = (): Worker => new Worker(new URL('./likeness.worker.ts', import.meta.url), { type: 'module' });

/** Pictures of waves, made one after the other beside the screen. */
export class LikenessQueue {
  #work: Kept<LikenessWork> | undefined;
  #waiting: LikenessAsked[] = [];
  #making: string | undefined;

  constructor(
    readonly found: (key: string, pictured: Pictured) => void,
    /** One that could not be made is not asked for again. */
    readonly failed: (key: string) => void,
  ) {}

  ask(asked: LikenessAsked): void {
    if (this.#making === asked.key || this.#waiting.some((w) => w.key === asked.key)) return;
    this.#waiting.push(asked);
    void this.#next();
  }

  /** What nothing shows any more is not made; one that is being made is given up where another waits. */
  drop(key: string): void {
    this.#waiting = this.#waiting.filter((w) => w.key !== key);
    if (this.#making === key && this.#waiting.length) this.#end();
  }

  #end(): void {
    this.#work?.end();
    this.#work = undefined;
    this.#making = undefined;
    void this.#next();
  }

  async #next(): Promise<void> {
    if (this.#making !== undefined) return;
    // the last that was asked for is what is looked at now
    const asked = this.#waiting.pop();
    if (!asked) return;
    this.#making = asked.key;
    this.#work ??= kept<LikenessWork>(make, () => {
      this.failed(asked.key);
      this.#end();
    });
    const { work } = this.#work;
    try {
      this.found(asked.key, await work.make(asked));
    } catch {
      this.failed(asked.key);
    }
    if (this.#making !== asked.key) return;
    this.#making = undefined;
    void this.#next();
  }
}
