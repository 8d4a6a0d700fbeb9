import {
  bulk,
  dressingDensity,
  openOf,
  type BaseCoat,
  type ClearCoat,
  type Coat,
  type GlazeCoat,
  type Hole,
  type SandCoat,
  type SealCoat,
  type SeaCoat,
  type WaveCoat,
} from '#core/document';
import { inside, waveLength, type CoatRegions, type Region } from '#core/geometry';
import { filmVolume, foamVolume, lineVolume, mixedDensity, sandShare } from '#core/mix';
import { sandGround } from '#core/tint';
import { allPieces, cup, filmNeed, hex, joined, lineNeed, regionOfTint, tintHex, type Cup, type Setting } from './cups';
import { dressedAfter, waveSection } from './laid';
import { gapWidth } from './site';

export interface CoatPlan {
  coat: Coat;
  /** From 1, bottom first. */
  number: number;
  name: string;
  /** Film as planned, mm: the foam's for a wave, the mean for a top. */
  film: number;
  area: number;
  /** What goes onto the board, ml, spare and run-over included. */
  ml: number;
  cups: Cup[];
  /** The part of the board it goes over. */
  regions: CoatRegions;
}

const counted = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight'];

export function coatName(coat: Coat): string {
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

/** Sand in resin takes room from it; sand pressed in leaves its pores to the clear. */
function sandCups(s: Setting, coat: SandCoat, { beach, sea }: CoatRegions): Cup[] {
  const region = coat.over ? joined([beach, ...sea]) : beach;
  const need = filmNeed(s, coat, region, coat.film);
  const colour = hex(sandGround.internal);
  if (coat.how === 'pressed in') {
    const pores = 1 - bulk.packed;
    const perResin = (bulk.packed * 2.65) / (pores * mixedDensity(s.resin));
    return [cup(s, { coat, part: 'sand', name: 'Clear for sand', need, colour, sand: { resinShare: pores, perResin } })];
  }
  const resinShare = 1 - sandShare(coat.sandPerResin, mixedDensity(s.resin));
  return [cup(s, { coat, part: 'sand', name: 'Sand', need, colour, sand: { resinShare, perResin: coat.sandPerResin } })];
}

/** A bed of clear and the tints over it share the film. */
function seaCups(s: Setting, coat: SeaCoat, regions: CoatRegions): Cup[] {
  const bed = coat.bed ?? 0;
  const tints = coat.tints.flatMap((tint, i) => {
    const region = regionOfTint(regions, i);
    return region
      ? [
          cup(s, {
            coat,
            part: i,
            name: tint.name,
            need: filmNeed(s, coat, region, coat.film - bed),
            tint,
            colour: tintHex(s, tint, coat.film - bed),
          }),
        ]
      : [];
  });
  if (coat.order === 'shore first') tints.reverse();
  // what runs over the rim is the tints'; the bed lies inside them
  const area = joined(regions.sea).area;
  const clear =
    bed > 0
      ? [
          cup(s, {
            coat,
            part: 'bed',
            name: 'Clear bed',
            need: { ...lineNeed(allPieces(s, filmVolume(area, bed))), area: s.piece.count * area },
          }),
        ]
      : [];
  return [...clear, ...tints];
}

function waveCups(s: Setting, coat: WaveCoat): Cup[] {
  const length = waveLength(s.cut, s.piece.sea, coat.along) * s.piece.count;
  const open = openOf(coat, s.method.foamOpen);
  const foam = foamVolume(length, coat.reachSea + coat.reachUp, { ...s.method, foamOpen: open });
  const line = waveSection(coat, s.method).clear > 0 ? (coat.lines ?? 1) * lineVolume(coat.lineWidth, coat.lineHeight, length) : 0;
  const below = s.piece.coats.slice(0, s.piece.coats.indexOf(coat)).findLast((c) => c.kind === 'sea');
  const gap = filmVolume(gapWidth(coat) * length, below?.kind === 'sea' ? below.film : 0);
  const clear = cup(s, { coat, part: 'clear', name: 'Clear held back', need: lineNeed(line) });
  const white = cup(s, {
    coat,
    part: 'white',
    name: coat.white.name,
    need: lineNeed(foam + gap),
    tint: coat.white,
    colour: tintHex(s, coat.white, s.method.foamFilm),
    ...(coat.additive &&
      coat.additive !== 'none' &&
      coat.additiveDrops && { additive: { name: coat.additive === 'silicone' ? 'silicone' : 'cell additive', drops: coat.additiveDrops } }),
  });
  return coat.under === 'white first' ? [white, clear] : [clear, white];
}

function tintedCups(s: Setting, coat: GlazeCoat | BaseCoat, part: string, all: Region): Cup[] {
  return [
    cup(s, {
      coat,
      part,
      name: coat.tint.name,
      need: filmNeed(s, coat, all, coat.film),
      tint: coat.tint,
      colour: tintHex(s, coat.tint, coat.film),
    }),
  ];
}

const clearCups = (s: Setting, coat: ClearCoat | SealCoat, all: Region): Cup[] => [
  cup(s, { coat, part: 'clear', name: coat.kind === 'seal' ? 'Clear for sealing' : 'Clear', need: filmNeed(s, coat, all, coat.film) }),
];

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
      return tintedCups(s, coat, 'glaze', all);
    case 'base':
      return tintedCups(s, coat, 'base', all);
    case 'clear':
    case 'seal':
      return clearCups(s, coat, all);
    case 'top':
      return [cup(s, { coat, part: 'clear', name: 'Clear', need: filmNeed(s, coat, all, s.meanFilm(coat)) })];
  }
}

/** Clear that dips or sticks what is set into a coat, ml for one piece: a film as on the sides over its dome. */
function dipping({ piece, method }: Setting, index: number): number {
  const dipped = (piece.dressings ?? []).filter((d) => d.when !== 'before resin' && dressedAfter(piece, d) === index);
  return dipped.reduce((sum, d) => sum + ((Math.PI * d.size ** 2) / 4 + (Math.PI * d.size * d.height) / 2) * method.sideFilm, 0) / 1000;
}

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

/** One coat of a piece: its amounts and its cups. Cups that would cover nothing are left out. */
export function planCoat(setting: Setting, coat: Coat, number: number): CoatPlan {
  const regions = setting.regions.get(coat.id)!;
  const extra = [
    cup(setting, { coat, part: 'dressing', name: 'Clear for dressing', need: lineNeed(allPieces(setting, dipping(setting, number - 1))) }),
    cup(setting, { coat, part: 'holes', name: 'Clear for holes', need: lineNeed(allPieces(setting, fillings(setting, coat))) }),
  ];
  const cups = [...cupsOf(setting, coat, regions), ...extra].filter((c) => c.needed > 0);
  return {
    coat,
    number,
    name: coatName(coat),
    film: coat.kind === 'wave' ? setting.method.foamFilm : coat.kind === 'top' ? setting.meanFilm(coat) : coat.film,
    area: coat.kind === 'sea' ? setting.piece.count * joined(regions.sea).area : cups.reduce((sum, c) => sum + c.area, 0),
    ml: cups.reduce((sum, c) => sum + c.needed, 0),
    cups,
    regions,
  };
}

/** What a dressing weighs, g: half an ellipsoid of its stuff. */
export const dressingGrams = ({ kind, size, height }: { kind: keyof typeof dressingDensity; size: number; height: number }): number =>
  (((2 / 3) * Math.PI * (size / 2) ** 2 * height) / 1000) * dressingDensity[kind];
