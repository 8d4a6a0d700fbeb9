import type { Piece } from '#core/document';
import { CutError } from '#core/geometry';
import type { PiecePlan } from '#core/plan';
import { planner } from '$lib/planner';
import { editPiece, redo, undo, undoable } from '$lib/store/edits';
import { Live } from '$lib/store/live.svelte';
import { shared } from '$lib/store/shared.svelte';
import { attempt } from '$lib/ui/attempt';
import { said } from '$lib/ui/said.svelte';
import { tangledSays } from './tangled';

type Change = (piece: Piece) => Piece;

/**
 * One piece being edited: what is stored, with a draft over it while something is dragged or on its way to the disk.
 * An edit that could not be stored stays in the draft and goes along with the next one.
 */
export class PieceEditor {
  readonly id: string;
  readonly #undoable: Live<{ undo?: string; redo?: string }>;
  #draft = $state.raw<Piece>();
  /** What was stored when the draft was last sent; the draft shows until something newer is read. */
  #base = $state.raw<Piece>();
  #pending = $state(0);
  #dragging = $state(false);
  #unsaved = $state.raw<Change[]>([]);

  readonly #stored = $derived.by(() => shared.pieces?.find((piece) => piece.id === this.id));

  readonly piece = $derived.by(() => {
    const stored = this.#stored;
    return this.#draft && (this.#dragging || this.#pending > 0 || stored === this.#base) ? this.#draft : stored;
  });
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
    this.#undoable = new Live(() => undoable(id));
  }

  #planOf(piece: Piece | undefined): PiecePlan | CutError | undefined {
    const { means } = shared;
    // another tab may have put another studio in the place of this one while something was dragged
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
    return this.#pending > 0 || this.#unsaved.length > 0;
  }

  get undoable(): { undo?: string; redo?: string } {
    return this.#undoable.current ?? {};
  }

  /** Shows a change without storing it, as in a drag. */
  preview(change: Change): void {
    const piece = this.piece;
    if (!piece) return;
    if (!this.#dragging) this.#base = this.#stored;
    this.#dragging = true;
    this.#draft = change(piece);
  }

  /** Forgets what was previewed. */
  drop(): void {
    this.#dragging = false;
    this.#draft = undefined;
  }

  /**
   * Stores a change. One after which the board cannot be cut is not taken: the drawing goes back to where it was.
   * @param mark joins quick edits of the same thing into one for undo
   */
  async commit(label: string, change: Change, mark?: string): Promise<void> {
    const piece = this.piece;
    if (!piece) return;
    const changed = change(piece);
    const planned = this.#planOf(changed);
    if (planned instanceof CutError) {
      this.drop();
      return void said.failed(tangledSays(changed, planned));
    }
    this.#draft = changed;
    this.#dragging = false;
    const changes = [...this.#unsaved, change];
    this.#pending++;
    const stored = await attempt(() => editPiece(this.id, label, (p) => changes.reduce((q, c) => c(q), p), mark));
    this.#unsaved = stored ? [] : changes;
    this.#base = this.#stored;
    this.#pending--;
  }

  async undo(): Promise<void> {
    if (this.#unsaved.length) this.#unsaved = [];
    else await attempt(() => undo(this.id));
    this.drop();
  }

  async redo(): Promise<void> {
    await attempt(() => redo(this.id));
    this.drop();
  }
}
