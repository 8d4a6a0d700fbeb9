import { cupKey, type Coat, type CupRef, type CupRole, type Method, type Piece, type Tint } from '#core/document';
import { edgeOf } from '#core/craft';
import type { Region } from '#core/geometry';
import {
  cupContent,
  dose,
  dripsOf,
  filmVolume,
  runOver,
  split,
  totalLoad,
  withSpare,
  type Dose,
  type LetDowns,
  type Split,
} from '#core/mix';
import type { Setting } from './setting';

/** Whom a cup is for: a coat of a piece, its share of what leaves the cup, and the area of one board, mm². */
export interface Serve {
  piece: Piece;
  coat: string;
  share: number;
  area: number;
  /** It dips or sticks what is set on the board. */
  dips?: boolean;
}

/** One cup of a batch. Volumes in ml, weights in g. */
export interface Cup {
  id: CupRef;
  /** Its identity as one text, to be compared. */
  key: string;
  name: string;
  /** mm² it covers, all like pieces together; zero for a line. */
  area: number;
  /** What must leave the cup onto the boards. */
  needed: number;
  /** What that is made of, what is over because no cup is filled with less, and what the cup keeps, ml. */
  makeup: { laid: number; runsOver: number; spare: number; heldBack: number; surplus: number; stays: number };
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
  serves: Serve[];
  /** What it was made from, so that it can be made again in another size. */
  made: Filling;
}

/** What a cup is for, ml, all like pieces together. */
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

/** What a line or a filling takes, without area or rim. @param laid ml, all like pieces together */
export const lineNeed = (laid: number): Need => ({ area: 0, laid, runsOver: 0, drips: 0 });

/** Clear under or in a film, which never meets the rim. @param ml for one piece @param area mm² of one piece */
export const innerNeed = ({ piece }: Pick<Setting, 'piece'>, ml: number, area: number): Need => ({
  ...lineNeed(piece.count * ml),
  area: piece.count * area,
});

/** What several needs come to together. */
export const needTogether = (needs: Need[]): Need => {
  const total = (of: (need: Need) => number): number => needs.reduce((sum, n) => sum + of(n), 0);
  return { area: total((n) => n.area), laid: total((n) => n.laid), runsOver: total((n) => n.runsOver), drips: total((n) => n.drips) };
};

/** What makes one cup: whose it is, what it is called, and what goes into it. `additive` is counted in drops. */
export interface Filling {
  id: CupRef;
  coat: Coat;
  name: string;
  need: Need;
  tint?: Tint;
  colour?: string | undefined;
  /** Share of the mix that is resin, and sand or gravel by weight for each of resin; pressed in on the board, or stirred in. */
  sand?: { resinShare: number; perResin: number; pressed: boolean; gravel?: boolean };
  additive?: { name: string; drops: number };
  /** One of several cups that what is needed was divided over. */
  portion?: { number: number; of: number };
  serves: Serve[];
}

/** What any cup is made with. Without let-downs to choose from each cup takes the one that suits it. */
export type Mixing = Pick<Setting, 'resin' | 'colourants' | 'method' | 'scaleStep'> & { letDowns?: LetDowns };

/** Least a cup is filled with, ml: white wets its cup and has to be drawn out of it. */
const smallest = ({ smallestCup = 0, smallestWhite = 0 }: Method, role: CupRole): number =>
  role === 'white' ? Math.max(smallestCup, smallestWhite) : smallestCup;

/** A cup as it is really filled: what its need asks for, its losses and spare, the least a cup is filled with, its colourants counted. */
export function cup({ resin, colourants, method, scaleStep, letDowns }: Mixing, made: Filling): Cup {
  const { need, tint, colour, sand, portion } = made;
  const id: CupRef = portion ? { ...made.id, portion: portion.number } : made.id;
  const name = portion ? `${made.name} ${portion.number} of ${portion.of}` : made.name;
  const dry = need.laid + need.runsOver;
  const needed = withSpare(dry, method);
  // some of every tint is kept for corrections, since it cannot be met again
  const heldBack = tint?.recipe.length ? needed * (method.heldBack ?? 0) : 0;
  const least = cupContent(needed + heldBack, method);
  const content = least > 0 ? Math.max(least, smallest(method, id.role)) : 0;
  const ml = content * (sand?.resinShare ?? 1);
  const parts = split(ml, resin);
  const grams = parts.aG + parts.bG;
  const known = (tint?.recipe ?? []).flatMap((p) => {
    const colourant = colourants.find((c) => c.id === p.colourantId);
    return colourant
      ? [{ colourant, dose: dose(p, colourant, grams, scaleStep, method.fewDrops === 'whole drops' ? [] : letDowns?.get(colourant.id)) }]
      : [];
  });
  return {
    id,
    key: cupKey(id),
    name,
    area: need.area,
    needed,
    makeup: {
      laid: need.laid,
      runsOver: need.runsOver,
      spare: needed - dry,
      heldBack,
      surplus: content - least,
      stays: least - needed - heldBack,
    },
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
    serves: made.serves,
    made,
  };
}

/** A cup divided over several of the same size; each keeps what any cup keeps. */
export const portionsOf = (mixing: Mixing, { made }: Cup, of: number): Cup[] => {
  const { area, laid, runsOver, drips } = made.need;
  const need = { area: area / of, laid: laid / of, runsOver: runsOver / of, drips: drips / of };
  return Array.from({ length: of }, (_, i) => cup(mixing, { ...made, need, portion: { number: i + 1, of } }));
};

/** The cup of a coat for one purpose. @param need all like pieces together @param index of a tint, from the deep side */
export function cupFor(
  s: Setting,
  coat: Coat,
  role: CupRole,
  name: string,
  need: Need,
  more: Partial<Filling> & { index?: number } = {},
): Cup {
  const { index, ...filling } = more;
  const id: CupRef = { piece: s.piece.id, coat: coat.id, role, ...(index !== undefined && { tint: index }) };
  const serve = { piece: s.piece, coat: coat.id, share: 1, area: need.area / s.piece.count, ...(role === 'dressing' && { dips: true }) };
  return cup(s, { id, coat, name, need, serves: [serve], ...filling });
}
