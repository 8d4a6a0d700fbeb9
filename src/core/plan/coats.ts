import { bulk, dressingDensity, GRAVEL_DEPTH, openOf } from '#core/craft';
import type { BaseCoat, Coat, CupRef, CupRole, Dressing, GlazeCoat, Hole, Piece, SandCoat, SeaCoat, WaveCoat } from '#core/document';
import { inlandBand, inside, waveLength, type CoatRegions, type Region } from '#core/geometry';
import { filmVolume, foamVolume, lineVolume, mixedDensity, sandShare } from '#core/mix';
import { sandGround } from '#core/tint';
import {
  allPieces,
  cup,
  filmNeed,
  hex,
  joined,
  lineNeed,
  regionOfTint,
  tintHex,
  type Cup,
  type Filling,
  type Need,
  type Setting,
} from './cups';
import { dressedWith, waveSection } from './laid';
import { gapWidth, pourOf, type Site } from './site';

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

const counted = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight'];

/** A coat by the artist's own name for it, else by its kind. */
export function coatName(coat: Coat): string {
  if (coat.name) return coat.name;
  switch (coat.kind) {
    case 'seal':
      return 'Seal';
    case 'base':
      return 'Base';
    case 'sand':
      return 'Sand';
    case 'sea':
      return `Sea, ${counted[coat.tints.length]} tint${coat.tints.length === 1 ? '' : 's'}`;
    case 'glaze':
      return 'Glaze';
    case 'wave':
      return 'Wave';
    case 'clear':
      return 'Clear';
    case 'top':
      return 'Clear top';
  }
}

/** Names of a piece's coats by their ids: where several are called alike they are numbered, "Wave 1" and "Wave 2". */
export function coatNames(coats: Coat[]): Map<string, string> {
  const names = numbered(coats.map(coatName));
  return new Map(coats.map((coat, i) => [coat.id, names[i]!]));
}

/** Names made unlike: those that stand alone stay, others are numbered in order. */
export function numbered(names: string[]): string[] {
  const seen = new Map<string, number>();
  return names.map((name) => {
    if (names.indexOf(name) === names.lastIndexOf(name)) return name;
    const n = (seen.get(name) ?? 0) + 1;
    seen.set(name, n);
    return `${name} ${n}`;
  });
}

/** The cup of a coat for one purpose. @param need all like pieces together */
function cupFor(s: Setting, coat: Coat, role: CupRole, name: string, need: Need, more: Partial<Filling> & { index?: number } = {}): Cup {
  const { index, ...filling } = more;
  const id: CupRef = { piece: s.piece.id, coat: coat.id, role, ...(index !== undefined && { tint: index }) };
  const serve = { piece: s.piece, coat: coat.id, share: 1, area: need.area / s.piece.count, ...(role === 'dressing' && { dips: true }) };
  return cup(s, { id, coat, name, need, serves: [serve], ...filling });
}

/** Sand in resin takes room from it; sand pressed in leaves its pores to the clear. */
function sandCups(s: Setting, coat: SandCoat, { beach, sea }: CoatRegions): Cup[] {
  const region = coat.over ? joined([beach, ...sea]) : beach;
  const need = filmNeed(s, coat, region, coat.film);
  const colour = hex(sandGround.internal);
  const density = mixedDensity(s.resin);
  const pressed = coat.how === 'pressed in';
  const sand = pressed
    ? { resinShare: 1 - bulk.packed, perResin: (bulk.packed * 2.65) / ((1 - bulk.packed) * density), pressed }
    : { resinShare: 1 - sandShare(coat.sandPerResin, density), perResin: coat.sandPerResin, pressed };
  return [cupFor(s, coat, 'sand', pressed ? 'Clear for sand' : 'Sand', need, { colour, sand })];
}

/** Clear that holds the gravel of a beach: the pores of one layer of stones. It is the first sand's, else the first coat's over a beach. */
function gravelCups(s: Setting, coat: Coat): Cup[] {
  const { gravel } = s.piece.sea;
  if (!gravel) return [];
  const onBeach = (c: Coat): boolean => c.kind !== 'wave' && s.regions.get(c.id)!.beach.area > 0;
  const first = s.piece.coats.find((c) => c.kind === 'sand' && onBeach(c)) ?? s.piece.coats.find(onBeach);
  if (coat !== first) return [];
  const { area } = inlandBand(s.cut, gravel.from, gravel.to);
  const need = { ...lineNeed(allPieces(s, filmVolume(area, GRAVEL_DEPTH) * (1 - bulk.packed))), area: s.piece.count * area };
  return [cupFor(s, coat, 'gravel', 'Clear for gravel', need)];
}

/** What goes into every tinted cup of a pour, where a wave of it asks for that. */
function additiveOf(s: Setting, coat: Coat): Filling['additive'] {
  const wave = pourOf(s, coat).find((c) => c.kind === 'wave' && dropsOf(c) > 0 && (c === coat || c.additiveInto === 'every cup'));
  if (wave?.kind !== 'wave') return undefined;
  return { name: wave.additive === 'silicone' ? 'silicone' : 'cell additive', drops: dropsOf(wave) };
}

/** Drops of additive a wave asks for. */
export const dropsOf = ({ additive, additiveDrops = 0 }: WaveCoat): number =>
  additive === undefined || additive === 'none' ? 0 : additiveDrops;

const withAdditive = (additive: Filling['additive']): Pick<Filling, 'additive'> => (additive ? { additive } : {});

/** A bed of clear and the tints over it share the film. Where the sea runs over the beach, its shore tint does. */
function seaCups(s: Setting, coat: SeaCoat, regions: CoatRegions): Cup[] {
  const bed = coat.bed ?? 0;
  const additive = withAdditive(additiveOf(s, coat));
  const last = coat.tints.length - 1;
  const tints = coat.tints.flatMap((tint, index) => {
    const own = regionOfTint(regions, index);
    const region = own && index === last ? joined([own, regions.beach]) : own;
    if (!region) return [];
    const need = filmNeed(s, coat, region, coat.film - bed);
    return [cupFor(s, coat, 'tint', tint.name, need, { index, tint, colour: tintHex(s, tint, coat.film - bed), ...additive })];
  });
  if (coat.order === 'shore first') tints.reverse();
  // what runs over the rim is the tints'; the bed lies inside them
  const area = joined([regions.beach, ...regions.sea]).area;
  const need = { ...lineNeed(allPieces(s, filmVolume(area, bed))), area: s.piece.count * area };
  return bed > 0 ? [cupFor(s, coat, 'bed', 'Clear bed', need), ...tints] : tints;
}

function waveCups(s: Setting, coat: WaveCoat): Cup[] {
  const length = waveLength(s.cut, s.piece.sea, coat.along) * s.piece.count;
  const drawn = (coat.lines ?? 1) * lineVolume(coat.lineWidth, coat.lineHeight, length);
  const foam = foamVolume(length, coat.reachSea + coat.reachUp, { ...s.method, foamOpen: openOf(coat, s.method.foamOpen) });
  const below = s.piece.coats.slice(0, s.piece.coats.indexOf(coat)).findLast((c) => c.kind === 'sea');
  const gap = filmVolume(gapWidth(coat) * length, below?.kind === 'sea' ? below.film : 0);
  const { whiteFactor } = s.method;
  // more than either way of reckoning it: white is what runs out
  const wanted = whiteFactor === undefined ? foam : Math.max(foam, drawn) * whiteFactor;
  const clear = cupFor(s, coat, 'line', 'Clear held back', lineNeed(waveSection(coat, s.method).clear > 0 ? drawn : 0));
  const white = cupFor(s, coat, 'white', coat.white.name, lineNeed(wanted + gap), {
    tint: coat.white,
    colour: tintHex(s, coat.white, s.method.foamFilm),
    ...withAdditive(additiveOf(s, coat)),
  });
  return coat.under === 'white first' ? [white, clear] : [clear, white];
}

const tintedCup = (s: Setting, coat: GlazeCoat | BaseCoat, all: Region): Cup =>
  cupFor(s, coat, coat.kind, coat.tint.name, filmNeed(s, coat, all, coat.film), {
    tint: coat.tint,
    colour: tintHex(s, coat.tint, coat.film),
    ...withAdditive(additiveOf(s, coat)),
  });

function cupsOf(s: Setting, coat: Coat, regions: CoatRegions): Cup[] {
  const all = joined([regions.beach, ...regions.sea]);
  switch (coat.kind) {
    case 'sand':
      return sandCups(s, coat, regions);
    case 'sea':
      return seaCups(s, coat, regions);
    case 'wave':
      return waveCups(s, coat);
    case 'glaze':
    case 'base':
      return [tintedCup(s, coat, all)];
    case 'clear':
      return [cupFor(s, coat, 'clear', 'Clear', filmNeed(s, coat, all, coat.film))];
    case 'seal':
      return [cupFor(s, coat, 'seal', 'Clear for sealing', filmNeed(s, coat, all, coat.film))];
    case 'top':
      return [cupFor(s, coat, 'top', 'Clear', filmNeed(s, coat, all, s.meanFilm(coat)))];
  }
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
      const r = regions.get(c.id)!;
      return c.kind !== 'wave' && [r.beach, ...r.sea].some((part) => inside(hole, part.rings));
    };
  return (
    piece.holes
      .filter((hole) => hole.filled && piece.coats.find(over(hole)) === coat)
      .reduce((sum, hole) => sum + ((Math.PI * hole.diameter ** 2) / 4) * piece.thickness, 0) / 1000
  );
}

/** A cup of clear that goes with a coat, where any is wanted. @param ml for one piece */
const clearFor = (s: Setting, coat: Coat, role: CupRole, name: string, ml: number): Cup[] =>
  ml > 0 ? [cupFor(s, coat, role, name, lineNeed(allPieces(s, ml)))] : [];

/** One coat of a piece: its amounts and its cups. Cups that would cover nothing are left out. */
export function planCoat(setting: Setting, coat: Coat, number: number, name = coatName(coat)): CoatPlan {
  const { piece } = setting;
  const regions = setting.regions.get(coat.id)!;
  const at = piece.coats.indexOf(coat);
  const cups = [
    ...clearFor(setting, coat, 'holes', 'Clear for holes', fillings(setting, coat)),
    ...cupsOf(setting, coat, regions),
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
    film: coat.kind === 'wave' ? setting.method.foamFilm : coat.kind === 'top' ? setting.meanFilm(coat) : coat.film,
    area: beach
      ? piece.count * joined([beach, ...regions.sea]).area
      : cups.filter((c) => c.id.role !== 'gravel').reduce((sum, c) => sum + c.area, 0),
    ml: cups.reduce((sum, c) => sum + c.needed, 0),
    cups,
    regions,
  };
}

/** What a dressing weighs, g: half an ellipsoid of its stuff. */
export const dressingGrams = ({ kind, size, height }: { kind: keyof typeof dressingDensity; size: number; height: number }): number =>
  (((2 / 3) * Math.PI * (size / 2) ** 2 * height) / 1000) * dressingDensity[kind];
