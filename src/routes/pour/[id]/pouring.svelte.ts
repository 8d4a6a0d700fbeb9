import type { PourEvent, ToldStep } from '#core/document';
import { isPass, readSession, type Happening, type Session } from '#core/record';
import { failureSays } from '$lib/store/failure';
import { HeldPour } from '$lib/store/held-pour';
import { Live } from '$lib/store/live.svelte';
import { readPour } from '$lib/store/studio';
import { said } from '$lib/ui/said.svelte';

/** A second tap this soon after any other, ms, is a slip of the glove, or a foot switch that repeats. */
const SLIP = 400;

/** A pour as it is read and recorded at the bench: what is on the disk, and what is held where the disk takes nothing more. */
export class Pouring {
  readonly #live: Live<{ found: Awaited<ReturnType<typeof readPour>> }>;
  readonly #kept: HeldPour;
  held = $state.raw<PourEvent[]>([]);
  /** Why the last event is not on the disk. */
  failure = $state<string>();
  busy = $state(false);
  #tapped = -Infinity;

  constructor(readonly id: string) {
    this.#live = new Live(async () => ({ found: await readPour(id) }));
    this.#kept = new HeldPour(id, (held) => (this.held = held));
  }

  readonly #pour = $derived.by(() => {
    const found = this.#live.current?.found;
    if (!found || !this.held.length) return found;
    const last = found.events.at(-1)?.seq ?? 0;
    return { ...found, events: [...found.events, ...this.held.filter((e) => e.seq > last)] };
  });
  readonly session: Session | undefined = $derived(this.#pour && readSession(this.#pour));

  /** Whether it has been looked for; it may not be there. */
  get read(): boolean {
    return this.#live.current !== undefined;
  }

  /** Records something; true where it is on the disk, or held. It shows once it is either. */
  async happen(happening: Happening): Promise<boolean> {
    try {
      const failure = await this.#kept.happen(happening, () => this.#pour?.events ?? []);
      this.failure = failure === undefined ? undefined : failureSays(failure);
      if (failure !== undefined) console.warn(failure instanceof Error ? failure.name : failure);
      return true;
    } catch (error) {
      void said.failed(failureSays(error));
      return false;
    }
  }

  /** Records what was pressed; no other button can be until it is. A weight that is stored as its field is left holds none up. */
  async #press(happening: Happening): Promise<boolean> {
    this.busy = true;
    const stored = await this.happen(happening);
    this.busy = false;
    return stored;
  }

  /** A press of a button or a key: one that comes too soon after the last is passed over. */
  async tap(happening: Happening | undefined): Promise<boolean> {
    const now = performance.now();
    const slip = now - this.#tapped < SLIP;
    this.#tapped = now;
    if (slip || !happening) return false;
    const stored = await this.#press(happening);
    // one that could not be kept may be tried again at once
    if (!stored) this.#tapped = -Infinity;
    return stored;
  }

  /** Records what was chosen from what stood open: that was one tap already, and no slip of the one before. */
  async chosen(happening: Happening | undefined): Promise<boolean> {
    this.#tapped = performance.now();
    return happening ? this.#press(happening) : false;
  }

  /** Tries again to store what is held. */
  async retry(): Promise<void> {
    try {
      await this.#kept.retry();
      this.failure = undefined;
    } catch (error) {
      this.failure = failureSays(error);
    }
  }

  /** What is recorded when the step at hand is done; a pass of heat begins before it ends. */
  doneOf(step: ToldStep): Happening {
    const session = this.session!;
    if (step.id.does === 'mix') return { kind: 'mixed', batch: step.id.batch ?? step.batch };
    if (isPass(step.id) && session.heatOn === undefined) return { kind: 'heat on' };
    return step === session.told.steps.at(-1) ? { kind: 'done' } : { kind: 'did', step: step.id };
  }

  /** Takes back what happened last. */
  undo(): Promise<boolean> {
    const last = this.session?.events.at(-1);
    return last ? this.#press({ kind: 'undone', undoes: last.seq }) : Promise.resolve(false);
  }
}
