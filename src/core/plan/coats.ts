import { allOf, coatName, cupFor, innerNeed, kindOf, lineNeed, type Cup, type Setting, type Site } from '#core/coat';
import { bulk, dressingDensity, GRAVEL_DEPTH } from '#core/craft';
import { isLine, type Coat, type CupRole, type Dressing, type Hole, type Piece } from '#core/document';
import { inlandBand, inside, partsOf, type CoatRegions } from '#core/geometry';
import { filmVolume } from '#core/mix';
import { dressedWith } from './layings';

/** One coat of a piece as it is planned. */
export interface CoatPlan {
  /** The piece it is of, and its board. */
  piece: Piece;
  site: Site;
  coat: Coat;
  /** From 1, bottom first. */
  number: number;
  name: string;
  /** Film as planned, mm: the foam's for a wave, the mean for a top. */
  film: number;
  area: number;
  /** What goes onto the board, ml, spare and run-over included. */
  ml: number;
  /** In the order they are laid. A cup may serve other coats too. */
  cups: Cup[];
  /** The part of the board it goes over. */
  regions: CoatRegions;
}

/** Clear that holds the gravel of a beach: the pores of one layer of stones. It is the first sand's, else the first coat's over a beach. */
function gravelCups(s: Setting, coat: Coat): Cup[] {
  const { gravel } = s.piece.sea;
  if (!gravel) return [];
  const onBeach = (c: Coat): boolean => !isLine(c) && s.regions.get(c.id)!.beach.area > 0;
  const first = s.piece.coats.find((c) => c.kind === 'sand' && onBeach(c)) ?? s.piece.coats.find(onBeach);
  if (coat !== first) return [];
  const { area } = inlandBand(s.cut, gravel.from, gravel.to);
  const need = innerNeed(s, filmVolume(area, GRAVEL_DEPTH) * (1 - bulk.packed), area);
  return [cupFor(s, coat, 'gravel', 'Clear for gravel', need)];
}

/** What is set on a board with the clear of one of its coats, which is at hand when it is set. */
export const setWith = (piece: Piece, index: number): Dressing[] =>
  (piece.dressings ?? []).filter((d) => d.when !== 'before resin' && dressedWith(piece, d) === index);

/** Clear that dips or sticks what is set with a coat, ml for one piece: a film as on the sides over its dome. */
const dipping = ({ piece, method }: Setting, index: number): number =>
  setWith(piece, index).reduce((sum, d) => sum + ((Math.PI * d.size ** 2) / 4 + (Math.PI * d.size * d.height) / 2) * method.sideFilm, 0) /
  1000;

/** Resin that fills holes on purpose, ml for one piece: with the lowest film over each. */
function fillings({ piece, regions }: Setting, coat: Coat): number {
  const over =
    (hole: Hole) =>
    (c: Coat): boolean => {
      return !isLine(c) && partsOf(regions.get(c.id)!).some((part) => inside(hole, part.rings));
    };
  return (
    piece.holes
      .filter((hole) => hole.filled && piece.coats.find(over(hole)) === coat)
      .reduce((sum, hole) => sum + ((Math.PI * hole.diameter ** 2) / 4) * piece.thickness, 0) / 1000
  );
}

/** A cup of clear that goes with a coat, where any is wanted. @param ml for one piece */
const clearFor = (s: Setting, coat: Coat, role: CupRole, name: string, ml: number): Cup[] =>
  ml > 0 ? [cupFor(s, coat, role, name, lineNeed(s.piece.count * ml))] : [];

/** One coat of a piece: its amounts and its cups. Cups that would cover nothing are left out. */
export function planCoat(setting: Setting, coat: Coat, number: number, name = coatName(coat)): CoatPlan {
  const { piece } = setting;
  const regions = setting.regions.get(coat.id)!;
  const at = piece.coats.indexOf(coat);
  const cups = [
    ...clearFor(setting, coat, 'holes', 'Clear for holes', fillings(setting, coat)),
    ...kindOf(coat).cups(setting, coat, regions),
    ...gravelCups(setting, coat),
    ...clearFor(setting, coat, 'dressing', 'Clear for dressing', dipping(setting, at)),
  ].filter((c) => c.needed > 0);
  const beach = coat.kind === 'sea' ? regions.beach : undefined;
  return {
    piece,
    site: setting,
    coat,
    number,
    name,
    film: kindOf(coat).film(coat, setting),
    area: beach ? piece.count * allOf(regions).area : cups.filter((c) => c.id.role !== 'gravel').reduce((sum, c) => sum + c.area, 0),
    ml: cups.reduce((sum, c) => sum + c.needed, 0),
    cups,
    regions,
  };
}

/** What a dressing weighs, g: half an ellipsoid of its stuff. */
export const dressingGrams = ({ kind, size, height }: { kind: keyof typeof dressingDensity; size: number; height: number }): number =>
  (((2 / 3) * Math.PI * (size / 2) ** 2 * height) / 1000) * dressingDensity[kind];
