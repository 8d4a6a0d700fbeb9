import type { Piece } from '#core/document';
import { CutError } from '#core/geometry';
import type { PiecePlan } from '#core/plan';
import { planner } from '$lib/planner';
import { Live } from '$lib/store/live.svelte';
import { shared } from '$lib/store/shared.svelte';
import { attempt } from '$lib/ui/attempt';
import { Draft, type ChangeOf } from '$lib/ui/draft.svelte';
import { tangledSays } from './tangled';

/** What stores an edit is fetched beside the first drawing, and does not hold that up. */
const edits = import('$lib/store/edits');

/** One piece being edited, with its plan. A change after which its board cannot be cut is not taken. */
export class PieceEditor {
  readonly id: string;
  #undoable = $state.raw<Live<{ undo?: string; redo?: string }>>();
  readonly #draft: Draft<Piece>;

  readonly piece = $derived.by(() => this.#draft.current);
  readonly #planned = $derived(this.#planOf(this.piece));
  /** The last plan that could be made: it stays on show while a curve is dragged through a tangle. */
  #good: PiecePlan | undefined;
  readonly plan = $derived.by(() => {
    if (!(this.#planned instanceof CutError)) this.#good = this.#planned;
    return this.#good;
  });
  /** Why what is drawn has no plan, in a sentence. */
  readonly trouble = $derived(this.piece && this.#planned instanceof CutError ? tangledSays(this.piece, this.#planned) : undefined);

  constructor(id: string) {
    this.id = id;
    void edits.then(({ undoable }) => (this.#undoable = new Live(() => undoable(id))));
    this.#draft = new Draft<Piece>({
      stored: () => shared.pieces?.find((piece) => piece.id === id),
      store: async (label, change, mark) => (await edits).editPiece(id, label, change, mark),
      refuses: (changed) => {
        const planned = this.#planOf(changed);
        return planned instanceof CutError ? tangledSays(changed, planned) : undefined;
      },
    });
  }

  #planOf(piece: Piece | undefined): PiecePlan | CutError | undefined {
    const { means } = shared;
    // another window may have put another studio in the place of this one while something was dragged
    const known = means && piece?.coats.every((coat) => means.resins.some((resin) => resin.id === coat.resinId));
    if (!piece || !known) return undefined;
    try {
      return planner.plan(piece, means);
    } catch (error) {
      if (error instanceof CutError) return error;
      throw error;
    }
  }

  /** Whether an edit is shown that is not on the disk yet. */
  get keeping(): boolean {
    return this.#draft.keeping;
  }

  get undoable(): { undo?: string; redo?: string } {
    return this.#undoable?.current ?? {};
  }

  /** Shows a change without storing it, as in a drag. */
  preview(change: ChangeOf<Piece>): void {
    this.#draft.preview(change);
  }

  /** Forgets what was previewed. */
  drop(): void {
    this.#draft.drop();
  }

  /** Stores a change. @param mark joins quick edits of the same thing into one for undo */
  async commit(label: string, change: ChangeOf<Piece>, mark?: string): Promise<void> {
    await this.#draft.commit(label, change, mark);
  }

  async undo(): Promise<void> {
    if (!this.#draft.forget()) await attempt(async () => (await edits).undo(this.id));
    this.drop();
  }

  async redo(): Promise<void> {
    await attempt(async () => (await edits).redo(this.id));
    this.drop();
  }
}
