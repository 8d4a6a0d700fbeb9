import type { Move } from '#core/foam';
import { advise, LUCKS, overLucks, type Advice, type Measured, type OverLucks, type Scene, type Setup } from '#core/rehearse';
import { lucksOf } from '$lib/work/rehearse';

/** Several lucks of the same, and what a pass more would do. */
interface Found {
  figures: Record<Measured, OverLucks>;
  advice: Advice;
}

/** Several lucks of what was done, tried beside the board until something else is done there. */
export class Lucks {
  found = $state.raw<Found>();
  /** How much of them is tried, 0 to 1. */
  trying = $state<number>();
  #stop?: (() => void) | undefined;

  /** What was tried is of another board by now. */
  forget(): void {
    this.#stop?.();
    this.#stop = undefined;
    this.trying = undefined;
    this.found = undefined;
  }

  /** @param pass one pass more @param wanted reach out to sea, mm */
  async try(scene: Scene, setup: Setup, moves: Move[], pass: Move[], wanted: number): Promise<void> {
    this.forget();
    this.trying = 0;
    const task = lucksOf(scene, setup, moves, pass, LUCKS, (share) => (this.trying = share));
    this.#stop = task.stop;
    const found = await task.done;
    if (!found) return;
    this.trying = undefined;
    this.found = { figures: overLucks(found.map((l) => l.left)), advice: advise(found, wanted) };
  }
}
