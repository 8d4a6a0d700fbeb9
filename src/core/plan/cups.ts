import type { Coat, Colourant, Method, Piece, Resin, Tint } from '#core/document';
import { edgeOf } from '#core/document';
import type { Cut, Region } from '#core/geometry';
import { cupContent, dose, dripsOf, filmVolume, runOver, split, totalLoad, withSpare, type Dose, type Split } from '#core/mix';
import { hexOf, recipeLayer, seenColour, stackOver, groundOf, groundKnown, type Rgb } from '#core/tint';
import type { Site } from './site';

/** One cup of a batch. Volumes in ml, weights in g. */
export interface Cup {
  /** "coat/part": stays the same while the piece is edited. */
  key: string;
  coatId: string;
  name: string;
  /** mm² it covers, all like pieces together; zero for a line. */
  area: number;
  /** What must leave the cup onto the board. */
  needed: number;
  /** What that is made of, and what the cup keeps, ml. */
  makeup: { laid: number; runsOver: number; spare: number; heldBack: number; stays: number };
  /** Mixed resin in the cup, with what stays behind. */
  ml: number;
  parts: Split;
  /** Sand stirred into the resin or pressed into it, g. */
  sandG: number;
  doses: Dose[];
  /** Colourant over A + B in the measure of the maker's limit, after rounding to whole drops. */
  load: number;
  limit: number;
  /** Its film on the ground of the piece as it will be seen, "#rrggbb"; undefined for clear. */
  colour?: string;
  /** What it was made from, so that it can be made again in another size. */
  made: Filling;
}

/** What a coat is planned from beside itself. */
export interface Setting extends Site {
  resin: Resin;
  colourants: Colourant[];
  /** Mean film of a levelling coat, mm, where the build-up below it is known. */
  meanFilm: (coat: Coat) => number;
}

/** What a cup is wanted for, ml, all like pieces together. */
export interface Need {
  /** mm² */
  area: number;
  laid: number;
  runsOver: number;
  /** What of that drips off, and does not stay on the side. */
  drips: number;
}

/** A film over a region with what it loses at the rim. */
export function filmNeed({ piece, method }: Setting, coat: Coat, region: Region, film: number): Need {
  const open = edgeOf(piece, coat) === 'run over' ? region.rim : 0;
  return {
    area: piece.count * region.area,
    laid: piece.count * filmVolume(region.area, film),
    runsOver: piece.count * runOver(open, piece.thickness, method),
    drips: method.runOff === 'painted up' ? 0 : piece.count * dripsOf(open, method),
  };
}

/** What a line or a filling takes, without area or rim. */
export const lineNeed = (laid: number): Need => ({ area: 0, laid, runsOver: 0, drips: 0 });

/** What makes one cup: whose it is, what it is called, and what goes into it. `additive` is counted in drops. */
export interface Filling {
  coat: Coat;
  part: string | number;
  name: string;
  need: Need;
  tint?: Tint;
  colour?: string | undefined;
  /** Share of the mix that is resin, and sand by weight for each of resin. */
  sand?: { resinShare: number; perResin: number };
  additive?: { name: string; drops: number };
  /** One of several cups that what is wanted was divided over. */
  portion?: { number: number; of: number };
}

/** What any cup is made with. */
export type Mixing = Pick<Setting, 'resin' | 'colourants' | 'method'>;

export function cup({ resin, colourants, method }: Mixing, made: Filling): Cup {
  const { coat, part, need, tint, colour, sand, portion } = made;
  const name = portion ? `${made.name} ${portion.number} of ${portion.of}` : made.name;
  const dry = need.laid + need.runsOver;
  const needed = withSpare(dry, method);
  // some of every tint is kept for corrections, since it cannot be met again
  const heldBack = tint?.recipe.length ? needed * (method.heldBack ?? 0) : 0;
  const content = cupContent(needed + heldBack, method);
  const ml = content * (sand?.resinShare ?? 1);
  const parts = split(ml, resin);
  const grams = parts.aG + parts.bG;
  const known = (tint?.recipe ?? []).flatMap((p) => {
    const colourant = colourants.find((c) => c.id === p.colourantId);
    return colourant ? [{ colourant, dose: dose(p, colourant, grams) }] : [];
  });
  return {
    key: `${coat.id}/${part}${portion ? `~${portion.number}` : ''}`,
    coatId: coat.id,
    name,
    area: need.area,
    needed,
    makeup: { laid: need.laid, runsOver: need.runsOver, spare: needed - dry, heldBack, stays: content - needed - heldBack },
    ml,
    parts,
    sandG: grams * (sand?.perResin ?? 0),
    doses: known.map((k) => k.dose),
    load: totalLoad(
      known.map((k) => ({ load: k.dose.load, density: k.colourant.density })),
      resin,
    ),
    limit: resin.loadLimit,
    ...(colour && { colour }),
    made,
  };
}

export const hex = (internal: Rgb): string => hexOf(seenColour(internal));

/** A tinted film over the ground of the piece; undefined where that ground has no known colour. */
export const tintHex = ({ piece, colourants }: Setting, tint: Tint, film: number): string | undefined =>
  groundKnown(piece.surface) ? hex(stackOver([recipeLayer(tint.recipe, colourants, film)], groundOf(piece.surface).internal)) : undefined;

export const joined = (regions: Region[]): Region => ({
  rings: regions.flatMap((r) => r.rings),
  area: regions.reduce((sum, r) => sum + r.area, 0),
  rim: regions.reduce((sum, r) => sum + r.rim, 0),
});

/** Parts of the sea run from the shore seaward, tints from deep to shore. */
export const regionOfTint = (cut: Pick<Cut, 'sea'>, tintIndex: number): Region | undefined => cut.sea[cut.sea.length - 1 - tintIndex];

/** A cup divided over several of the same size; each keeps what any cup keeps. */
export const portionsOf = (mixing: Mixing, { made }: Cup, of: number): Cup[] => {
  const { area, laid, runsOver, drips } = made.need;
  const need = { area: area / of, laid: laid / of, runsOver: runsOver / of, drips: drips / of };
  return Array.from({ length: of }, (_, i) => cup(mixing, { ...made, need, portion: { number: i + 1, of } }));
};

/** Pieces of a kind poured together share every cup. */
export const allPieces = ({ piece }: { piece: Piece; method: Method }, ml: number): number => piece.count * ml;
