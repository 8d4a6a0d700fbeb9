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
import { editThing, SLOPES } from '$lib/store/edits';
import { shared } from '$lib/store/shared.svelte';
import { Draft } from '$lib/ui/draft.svelte';

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
    const made = counted(
      cup.recipe,
      colourants,
      cup.cup.ml * mixedDensity(means.resin),
      settings.scaleStep,
      shared.method?.fewDrops === 'whole drops',
    );
    return { ...cup, made, madeSeen: recipeSeen(made.recipe, colourants, slope.film, means.ground) };
  });
  return { slope, means, solved, cups };
}

/** Where a slope is used: the piece and its coat, and whether it is still as the slope is now. */
export interface SlopeUse {
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

export function slopeUses(work: Worked, pieces: Piece[]): SlopeUse[] {
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

/** One slope being edited, with all that follows from it. */
export class SlopeDraft extends Draft<Slope> {
  readonly work = $derived.by(() => this.current && worked(this.current));

  constructor(readonly id: string) {
    super({
      stored: () => shared.slopes?.find((s) => s.id === id),
      store: (label, change, mark) => editThing('slopes', id, SLOPES, label, change, mark),
    });
  }
}
