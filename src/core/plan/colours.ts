import type { Coat, Colourant, Sea } from '#core/document';
import { openOf } from '#core/craft';
import { inlandBand, partition, type Cut, type Region, type Ring } from '#core/geometry';
import {
  clearLayer,
  groundKnown,
  groundOf,
  hexOf,
  recipeLayer,
  sandGround,
  seenColour,
  stackOver,
  type Ground,
  type Layer,
  type Rgb,
} from '#core/tint';
import type { Site } from './site';

/** A piece of the board that is one colour throughout, "#rrggbb"; undefined where no model knows it, which is hatched. */
export interface Patch {
  rings: Ring[];
  /** 0 the beach, then the sea from the shore seaward. */
  part: number;
  colour?: string;
}

/** The foam of one wave: its colour on the beach and on each part of the sea, through what is laid over it. */
export interface FoamColour {
  coatId: string;
  /** Share of it that stays closed. */
  closed: number;
  parts: (string | undefined)[];
}

/** Colours of the chart, seen through every coat laid over them. */
export interface ChartColours {
  patches: Patch[];
  foams: FoamColour[];
  /** Bands of the beach: gravel has no colour of its own in the models; dry sand stays as pale as it is. */
  gravel?: Ring[];
  dry?: { rings: Ring[]; colour: string };
}

/** Layers over a ground as they are gathered; `known` is false while the ground's colour is not. */
interface Pile {
  rings: Ring[];
  part: number;
  ground: Ground;
  known: boolean;
  layers: Layer[];
}

const seen = ({ layers, ground, known }: Pick<Pile, 'layers' | 'ground' | 'known'>): string | undefined =>
  known ? hexOf(layers.length ? seenColour(stackOver(layers, ground.internal)) : ground.bare) : undefined;

/** What one coat adds over a part, its film as planned; nothing for a wave, which is foam. @param film of a top, mm */
export function layerOf(coat: Coat, part: number, n: number, colourants: Colourant[], film: number): Layer {
  switch (coat.kind) {
    case 'sea': {
      // where the sea runs over the beach, it is its shore tint
      const tint = coat.tints[Math.min(n - part, n - 1)];
      return recipeLayer(tint?.recipe ?? [], colourants, coat.film - (coat.bed ?? 0));
    }
    case 'glaze':
    case 'base':
      return recipeLayer(coat.tint.recipe, colourants, coat.film);
    case 'top':
      return clearLayer(film);
    case 'wave':
      return clearLayer(0);
    default:
      return clearLayer(coat.film);
  }
}

const regionAt = (site: Site, coat: Coat, part: number): Region => {
  const { beach, sea } = site.regions.get(coat.id)!;
  return part === 0 ? beach : sea[part - 1]!;
};

function laid(pile: Pile, coat: Coat, n: number, colourants: Colourant[]): Pile {
  const layer = layerOf(coat, pile.part, n, colourants, 1);
  // sand in resin hides the board whatever it is
  if (coat.kind === 'sand') return { ...pile, ground: sandGround, known: true, layers: [layer] };
  return { ...pile, layers: [...pile.layers, layer] };
}

/** How far a piece has come: how many of its coats lie, bottom first, and whether the last pour of them is still wet. */
export interface Stage {
  coats: number;
  wet: boolean;
}

/** Waves of the pour that is still wet: their cells have not opened yet. */
export function wetWaves({ piece, pours }: Pick<Site, 'piece' | 'pours'>, { coats, wet }: Stage): Set<string> {
  const laid = piece.coats.slice(0, coats);
  const pour = pours.findLast((p) => laid.includes(p[0]!)) ?? [];
  return new Set(wet ? pour.flatMap((c) => (c.kind === 'wave' && laid.includes(c) ? [c.id] : [])) : []);
}

/** Colours of each part of the board: the ground, the coats over it, and the surface once, at the outermost. All coats hard, or those of a stage. */
export function chartColours(site: Site, cut: Cut, colourants: Colourant[], stage?: Stage): ChartColours {
  const { piece, method } = site;
  const laidCoats = stage ? piece.coats.slice(0, stage.coats) : piece.coats;
  const closed = stage && wetWaves(site, stage);
  const ground = groundOf(piece.surface);
  const known = groundKnown(piece.surface);
  const n = cut.sea.length;
  const parts = [cut.beach, ...cut.sea];
  let piles: Pile[] = parts.map((region, part) => ({ rings: region.rings, part, ground, known, layers: [] }));
  const foams: { coat: Extract<Coat, { kind: 'wave' }>; piles: Pile[] }[] = [];
  for (const coat of laidCoats) {
    if (coat.kind === 'wave') {
      const white = recipeLayer(coat.white.recipe, colourants, method.foamFilm);
      // foam is shown whole over each part: where a later coat covers only some of it, the rest shows as covered too
      const first = parts.map((_, part) => piles.find((p) => p.part === part)!);
      foams.push({ coat, piles: first.map((p) => ({ ...p, layers: [...p.layers, white] })) });
      continue;
    }
    piles = piles.flatMap((pile) => {
      const region = regionAt(site, coat, pile.part);
      if (region.area === 0) return [pile];
      if (region === parts[pile.part]) return [laid(pile, coat, n, colourants)];
      const { inside, outside } = partition(pile.rings, region.rings);
      return [
        ...(inside.length ? [laid({ ...pile, rings: inside }, coat, n, colourants)] : []),
        ...(outside.length ? [{ ...pile, rings: outside }] : []),
      ];
    });
    for (const foam of foams)
      foam.piles = foam.piles.map((p) => (regionAt(site, coat, p.part).area > 0 ? laid(p, coat, n, colourants) : p));
  }
  // what is strewn on the beach comes with its sand
  const { gravel, dry }: Partial<Sea> =
    laidCoats.length === piece.coats.length || laidCoats.some((c) => c.kind === 'sand') ? piece.sea : {};
  return {
    patches: piles.map((pile) => {
      const colour = seen(pile);
      return { rings: pile.rings, part: pile.part, ...(colour !== undefined && { colour }) };
    }),
    foams: foams.map(({ coat, piles: own }) => ({
      coatId: coat.id,
      closed: closed?.has(coat.id) ? 1 : 1 - openOf(coat, method.foamOpen),
      parts: own.map(seen),
    })),
    ...(gravel && { gravel: inlandBand(cut, gravel.from, gravel.to).rings }),
    ...(dry && { dry: { rings: inlandBand(cut, dry.from).rings, colour: hexOf(sandGround.bare) } }),
  };
}

/** What a coat is laid over, as internal reflectance: beach first, then the sea from the shore seaward; undefined where no model knows it. */
export function groundsUnder({ site, cut }: { site: Site; cut: Cut }, coatId: string, colourants: Colourant[]): (Rgb | undefined)[] {
  const { piece } = site;
  const below = piece.coats.slice(
    0,
    piece.coats.findIndex((c) => c.id === coatId),
  );
  return [cut.beach, ...cut.sea].map((region, part) => {
    const over = below.filter((c) => c.kind !== 'wave' && regionAt(site, c, part).area > 0);
    const start: Pile = { rings: region.rings, part, ground: groundOf(piece.surface), known: groundKnown(piece.surface), layers: [] };
    const pile = over.reduce((p, c) => laid(p, c, cut.sea.length, colourants), start);
    return pile.known ? stackOver(pile.layers, pile.ground.internal) : undefined;
  });
}
