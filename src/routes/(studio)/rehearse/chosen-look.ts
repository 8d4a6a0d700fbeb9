import type { Hand, Setup } from '#core/rehearse';

/** A way that was found, taken over to the board of its wave once. */
class ChosenLook {
  #taken?: { waveId: string; setup: Setup; hand: Hand } | undefined;

  put(waveId: string, setup: Setup, hand: Hand): void {
    this.#taken = { waveId, setup, hand };
  }
  take(waveId: string): { setup: Setup; hand: Hand } | undefined {
    const taken = this.#taken?.waveId === waveId ? this.#taken : undefined;
    this.#taken = undefined;
    return taken;
  }
}
export const chosenLook = new ChosenLook();
