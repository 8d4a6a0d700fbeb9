import { keptLoad, slopeTints } from '#core/edit';
import type { Part, Piece, SeaCoat, Slope } from '#core/document';
import { mixedDensity } from '#core/mix';
import {
  counted,
  recipeSeen,
  slopeMeans,
  solveSlope,
  type Counted,
  type Rgb,
  type SolvedCup,
  type SolvedSlope,
  type SlopeMeans,
} from '#core/tint';
import { editRows, SLOPES } from '$lib/store/edits';
import { shared } from '$lib/store/shared.svelte';
import { attempt } from '$lib/ui/attempt';

/** A cup of a slope as it will be made: its recipe in whole drops, and what that looks like. */
export interface MadeCup extends SolvedCup {
  made: Counted;
  madeSeen: Rgb;
}

/** A slope with all that follows from it. */
export interface Worked {
  slope: Slope;
  means: SlopeMeans;
  solved: SolvedSlope;
  /** Deep to shore. */
  cups: MadeCup[];
}

/** Works a slope out in this studio; undefined where its resin is gone. */
export function worked(slope: Slope): Worked | undefined {
  const { resins, colourants, settings } = shared;
  if (!resins?.some((r) => r.id === slope.resinId) || !colourants || !settings) return undefined;
  const means = slopeMeans(slope, { resins, colourants });
  const solved = solveSlope(slope, means);
  const cups = solved.cups.map((cup): MadeCup => {
    const made = counted(cup.recipe, colourants, cup.cup.ml * mixedDensity(means.resin), settings.scaleStep);
    return { ...cup, made, madeSeen: recipeSeen(made.recipe, colourants, slope.film, means.ground) };
  });
  return { slope, means, solved, cups };
}

/** Where a slope is used: the piece and its coat, and whether it is still as the slope is now. */
export interface Use {
  piece: Piece;
  coat: SeaCoat;
  same: boolean;
}

/** The tints of a slope, in the order they are laid. */
export const tintsOfSlope = ({ slope, solved }: Pick<Worked, 'slope' | 'solved'>) =>
  slopeTints(
    slope,
    solved.cups.map((c) => c.recipe),
  );

const written = (recipe: Part[]): string =>
  recipe
    .map((p) => `${p.colourantId} ${keptLoad(p.load)}`)
    .sort()
    .join();

export function usesOf(work: Worked, pieces: Piece[]): Use[] {
  const tints = tintsOfSlope(work);
  return pieces.flatMap((piece) =>
    piece.coats.flatMap((coat) =>
      coat.kind === 'sea' && coat.slopeId === work.slope.id
        ? [
            {
              piece,
              coat,
              same: coat.tints.length === tints.length && coat.tints.every((t, i) => written(t.recipe) === written(tints[i]!.recipe)),
            },
          ]
        : [],
    ),
  );
}

/** One slope on the bench: what is stored, with a draft over it while something is dragged or on its way to the disk. */
export class SlopeBench {
  readonly id: string;
  #draft = $state.raw<Slope>();
  #base = $state.raw<Slope>();
  /** Edits on their way to the disk: until they are there, what is read may be older than what is shown. */
  #pending = $state(0);
  /** Whether the draft could not be stored. */
  #unsaved = $state(false);

  readonly #stored = $derived.by(() => shared.slopes?.find((s) => s.id === this.id));
  readonly slope = $derived.by(() => (this.#draft && (this.#pending > 0 || this.#stored === this.#base) ? this.#draft : this.#stored));
  readonly work = $derived.by(() => this.slope && worked(this.slope));

  constructor(id: string) {
    this.id = id;
  }

  /** Whether a change is shown that is not on the disk yet. */
  get keeping(): boolean {
    return this.#pending > 0 || (this.#unsaved && this.slope === this.#draft);
  }

  /** Shows a change without storing it, as while a slider is moved. */
  preview(change: (slope: Slope) => Slope): void {
    const { slope } = this;
    if (!slope) return;
    this.#base = this.#stored;
    this.#draft = change(slope);
  }

  /** Stores a change; what could not be stored stays in the draft. @param mark joins quick edits of the same thing into one for undo */
  async commit(label: string, change: (slope: Slope) => Slope, mark?: string): Promise<boolean> {
    this.preview(change);
    const [row, was] = [this.#draft, this.#base];
    if (!row || !was) return false;
    this.#pending++;
    const stored = await attempt(() => editRows(SLOPES, label, [{ table: 'slopes', id: this.id, row, was }], mark));
    this.#unsaved = !stored;
    this.#base = this.#stored;
    this.#pending--;
    return stored;
  }
}
