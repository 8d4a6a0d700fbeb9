import { attempt } from './attempt';
import { said } from './said.svelte';

export type ChangeOf<T> = (thing: T) => T;

/** Where a draft's thing is stored. */
export interface DraftOf<T> {
  stored: () => T | undefined;
  /** Makes a change to what is stored by then. @param mark joins quick edits of the same thing into one for undo */
  store: (label: string, change: ChangeOf<T>, mark?: string) => Promise<void>;
  /** Why a change is not taken, in a sentence; undefined where it is. */
  refuses?: (changed: T) => string | undefined;
}

/**
 * One thing being edited: what is stored, with a draft over it while something is dragged or on its way to the disk. An edit
 * that could not be stored stays in the draft and goes along with the next one.
 */
export class Draft<T extends object> {
  readonly #of: DraftOf<T>;
  #draft = $state.raw<T>();
  /** What was stored when the draft was last sent; the draft shows until something newer is read. */
  #base = $state.raw<T>();
  /** Edits on their way to the disk: until they are there, what is read may be older than what is shown. */
  #pending = $state(0);
  #dragging = $state(false);
  #unsaved = $state.raw<ChangeOf<T>[]>([]);

  /** What is stored: the draft itself once it has come to be, so that nothing that hangs on it is worked out again. */
  readonly #stored = $derived.by(() => {
    const stored = this.#of.stored();
    return this.#draft && stored && JSON.stringify(stored) === JSON.stringify(this.#draft) ? this.#draft : stored;
  });
  readonly #shows = $derived(this.#draft !== undefined && (this.#dragging || this.#pending > 0 || this.#stored === this.#base));
  readonly current = $derived(this.#shows ? this.#draft : this.#stored);

  constructor(of: DraftOf<T>) {
    this.#of = of;
  }

  /** Whether an edit is shown that is not on the disk yet. */
  get keeping(): boolean {
    return this.#pending > 0 || this.#unstored.length > 0;
  }

  /** Changes that are shown and could not be stored. */
  get #unstored(): ChangeOf<T>[] {
    return this.#shows ? this.#unsaved : [];
  }

  /** Shows a change without storing it, as in a drag. */
  preview(change: ChangeOf<T>): void {
    const { current } = this;
    if (!current) return;
    if (!this.#dragging) this.#base = this.#stored;
    this.#dragging = true;
    this.#draft = change(current);
  }

  /** Forgets what was previewed. */
  drop(): void {
    this.#dragging = false;
    this.#draft = undefined;
  }

  /** Takes back what could not be stored. @returns whether there was any */
  forget(): boolean {
    const had = this.#unstored.length > 0;
    this.#unsaved = [];
    return had;
  }

  /** Stores a change, unless it is refused: then the thing goes back to where it was. @returns whether it is on the disk */
  async commit(label: string, change: ChangeOf<T>, mark?: string): Promise<boolean> {
    const { current } = this;
    if (!current) return false;
    const changed = change(current);
    const refused = this.#of.refuses?.(changed);
    if (refused !== undefined) {
      this.drop();
      said.failed(refused);
      return false;
    }
    const changes = [...this.#unstored, change];
    this.#base = this.#stored;
    this.#draft = changed;
    this.#dragging = false;
    this.#pending++;
    const stored = await attempt(() => this.#of.store(label, (thing) => changes.reduce((t, c) => c(t), thing), mark));
    this.#unsaved = stored ? [] : changes;
    this.#base = this.#stored;
    this.#pending--;
    return stored;
  }
}
