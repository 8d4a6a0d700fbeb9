import type { Coat, Colourant, Method, Piece, Resin, SandCoat, SeaCoat, Tint, WaveCoat } from '#core/document';
import type { Cut, Region } from '#core/geometry';
import {
  cupContent,
  dose,
  filmVolume,
  foamVolume,
  lineVolume,
  mixedDensity,
  runOver,
  sandShare,
  split,
  totalLoad,
  withSpare,
  type Dose,
  type Split,
} from '#core/mix';
import { groundOf, hexOf, recipeLayer, sandGround, seenColour, stackOver, type Rgb } from '#core/tint';

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
  makeup: { laid: number; runsOver: number; spare: number; stays: number };
  /** Mixed resin in the cup, with what stays behind. */
  ml: number;
  parts: Split;
  /** Sand stirred into the resin, g. */
  sandG: number;
  doses: Dose[];
  /** Colourant over A + B in the measure of the maker's limit, after rounding to whole drops. */
  load: number;
  limit: number;
  /** Its film on the ground of the piece as it will be seen, "#rrggbb"; undefined for clear. */
  colour?: string;
}

export interface CoatPlan {
  coat: Coat;
  /** From 1, bottom first. */
  number: number;
  name: string;
  /** Film as planned, mm; the foam's for a wave. */
  film: number;
  area: number;
  /** What goes onto the board, ml, spare and run-over included. */
  ml: number;
  cups: Cup[];
}

/** What a coat is planned from beside itself. */
export interface Setting {
  piece: Piece;
  cut: Cut;
  resin: Resin;
  colourants: Colourant[];
  method: Method;
}

const counted = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight'];

export function coatName(coat: Coat): string {
  switch (coat.kind) {
    case 'sand':
      return 'Sand';
    case 'sea':
      return `Sea, ${counted[coat.tints.length]} tint${coat.tints.length === 1 ? '' : 's'}`;
    case 'glaze':
      return 'Glaze';
    case 'wave':
      return 'Wave';
    case 'clear':
      return 'Clear top';
  }
}

/** What a cup is wanted for, ml, all like pieces together. */
interface Need {
  /** mm² */
  area: number;
  laid: number;
  runsOver: number;
}

/** A film over a region with what it loses at the rim. */
function filmNeed({ piece, method }: Setting, region: Region, film: number): Need {
  const over = piece.edge === 'run over' ? runOver(region.rim, piece.thickness, method) : 0;
  return { area: piece.count * region.area, laid: piece.count * filmVolume(region.area, film), runsOver: piece.count * over };
}

/** What makes one cup: whose it is, what it is called, and what goes into it. */
interface Filling {
  coat: Coat;
  part: string | number;
  name: string;
  need: Need;
  tint?: Tint;
  colour?: string;
  /** Share of the mix that is resin, and sand by weight for each of resin. */
  sand?: { resinShare: number; perResin: number };
}

function cup({ resin, colourants, method }: Setting, { coat, part, name, need, tint, colour, sand }: Filling): Cup {
  const dry = need.laid + need.runsOver;
  const needed = withSpare(dry, method);
  const content = cupContent(needed, method);
  const ml = content * (sand?.resinShare ?? 1);
  const parts = split(ml, resin);
  const grams = parts.aG + parts.bG;
  const known = (tint?.recipe ?? []).flatMap((p) => {
    const colourant = colourants.find((c) => c.id === p.colourantId);
    return colourant ? [{ colourant, dose: dose(p, colourant, grams) }] : [];
  });
  return {
    key: `${coat.id}/${part}`,
    coatId: coat.id,
    name,
    area: need.area,
    needed,
    makeup: { laid: need.laid, runsOver: need.runsOver, spare: needed - dry, stays: content - needed },
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
  };
}

const hex = (internal: Rgb): string => hexOf(seenColour(internal));

/** A tinted film over the ground of the piece. */
const tintHex = ({ piece, colourants }: Setting, tint: Tint, film: number): string =>
  hex(stackOver([recipeLayer(tint.recipe, colourants, film)], groundOf(piece.surface).internal));

function sandCups(s: Setting, coat: SandCoat): Cup[] {
  const resinShare = 1 - sandShare(coat.sandPerResin, mixedDensity(s.resin));
  const need = filmNeed(s, s.cut.beach, coat.film);
  return [
    cup(s, { coat, part: 'sand', name: 'Sand', need, colour: hex(sandGround.internal), sand: { resinShare, perResin: coat.sandPerResin } }),
  ];
}

/** Parts of the sea run from the shore seaward, tints from deep to shore. */
export const regionOfTint = (cut: Cut, tintIndex: number): Region | undefined => cut.sea[cut.sea.length - 1 - tintIndex];

function seaCups(s: Setting, coat: SeaCoat): Cup[] {
  return coat.tints.flatMap((tint, i) => {
    const region = regionOfTint(s.cut, i);
    return region
      ? [cup(s, { coat, part: i, name: tint.name, need: filmNeed(s, region, coat.film), tint, colour: tintHex(s, tint, coat.film) })]
      : [];
  });
}

function waveCups(s: Setting, coat: WaveCoat): Cup[] {
  const length = s.cut.shoreLength * s.piece.count;
  const line = lineVolume(coat.lineWidth, coat.lineHeight, length);
  const foam = foamVolume(length, coat.reachSea + coat.reachUp, s.method);
  const need = (laid: number): Need => ({ area: 0, laid, runsOver: 0 });
  return [
    cup(s, { coat, part: 'clear', name: 'Clear held back', need: need(line) }),
    cup(s, {
      coat,
      part: 'white',
      name: coat.white.name,
      need: need(foam),
      tint: coat.white,
      colour: tintHex(s, coat.white, s.method.foamFilm),
    }),
  ];
}

const joined = (regions: Region[]): Region => ({
  rings: regions.flatMap((r) => r.rings),
  area: regions.reduce((sum, r) => sum + r.area, 0),
  rim: regions.reduce((sum, r) => sum + r.rim, 0),
});

function cupsOf(s: Setting, coat: Coat): Cup[] {
  switch (coat.kind) {
    case 'sand':
      return sandCups(s, coat);
    case 'sea':
      return seaCups(s, coat);
    case 'wave':
      return waveCups(s, coat);
    case 'glaze': {
      const sea = joined(s.cut.sea);
      return [
        cup(s, {
          coat,
          part: 'glaze',
          name: coat.tint.name,
          need: filmNeed(s, sea, coat.film),
          tint: coat.tint,
          colour: tintHex(s, coat.tint, coat.film),
        }),
      ];
    }
    case 'clear': {
      const whole = joined([s.cut.beach, ...s.cut.sea]);
      return [cup(s, { coat, part: 'clear', name: 'Clear', need: filmNeed(s, whole, coat.film) })];
    }
  }
}

/** One coat of a piece: its amounts and its cups. Cups that would cover nothing are left out. */
export function planCoat(setting: Setting, coat: Coat, number: number): CoatPlan {
  const cups = cupsOf(setting, coat).filter((c) => c.needed > 0);
  return {
    coat,
    number,
    name: coatName(coat),
    film: coat.kind === 'wave' ? setting.method.foamFilm : coat.film,
    area: cups.reduce((sum, c) => sum + c.area, 0),
    ml: cups.reduce((sum, c) => sum + c.needed, 0),
    cups,
  };
}
