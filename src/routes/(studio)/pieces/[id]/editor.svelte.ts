import type { Piece } from '#core/document';
import { planPiece } from '#core/plan';
import { editPiece, redo, undo, undoable } from '$lib/store/edits';
import { Live } from '$lib/store/live.svelte';
import { shared } from '$lib/store/shared.svelte';
import { attempt } from '$lib/ui/attempt';

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
  #unsaved: Change[] = [];

  readonly #stored = $derived.by(() => shared.pieces?.find((piece) => piece.id === this.id));

  readonly piece = $derived.by(() => {
    const stored = this.#stored;
    return this.#draft && (this.#dragging || this.#pending > 0 || stored === this.#base) ? this.#draft : stored;
  });
  readonly plan = $derived.by(() => {
    const { piece } = this;
    const means = shared.means;
    // another tab may have put another studio in the place of this one while something was dragged
    const known = means && piece?.coats.every((coat) => means.resins.some((resin) => resin.id === coat.resinId));
    return piece && means && known ? planPiece(piece, means) : undefined;
  });

  constructor(id: string) {
    this.id = id;
    this.#undoable = new Live(() => undoable(id));
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

  /** Stores a change. @param mark joins quick edits of the same thing into one for undo */
  async commit(label: string, change: Change, mark?: string): Promise<void> {
    const piece = this.piece;
    if (!piece) return;
    this.#draft = change(piece);
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
