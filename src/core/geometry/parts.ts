import type { Over, Point, Sea, Shape } from '#core/document';
import { areaOf, common, grown, joinedPaths, toPaths, toRings, turned, without, type Paths } from './clip';
import { bounds } from './outline';
import { nowhere, partsOf, regionOf, type Cut, type Region } from './regions';
import { waveLines } from './foam';
import { shifted } from './curve';
import type { Ring } from './shapes/ring';

/** The parts of the board a coat goes over. */
export interface CoatRegions {
  beach: Region;
  sea: Region[];
  areas: Region[];
}

/** What a coat is kept from: back from the rim by `inset`, mm, off the strip a wave will fill, and off sky and land that are not its own. */
export interface Kept {
  inset?: number | undefined;
  gap?: { along: string | undefined; width: number } | undefined;
  offAreas?: boolean | undefined;
}

/** The board from its deep side to a share of its length across the sea. */
function fromDeep(shape: Shape, side: Sea['side'], share: number): Ring {
  const { width: w, height: h } = bounds(shape);
  const box = (x0: number, y0: number, x1: number, y1: number): Ring => [
    { x: x0, y: y0 },
    { x: x1, y: y0 },
    { x: x1, y: y1 },
    { x: x0, y: y1 },
  ];
  switch (side) {
    case 'far':
      return box(-1, -1, w + 1, h * share);
    case 'near':
      return box(-1, h * (1 - share), w + 1, h + 1);
    case 'left':
      return box(-1, -1, w * share, h + 1);
    case 'right':
      return box(w * (1 - share), -1, w + 1, h + 1);
  }
}

const gapStrip = (sea: Sea, along: string | undefined, width: number): Paths =>
  joinedPaths(
    turned(toPaths(waveLines(sea, along).map(({ line }) => [...shifted(line, width / 2), ...shifted(line, -width / 2).reverse()]))),
  );

/**
 * The beach and the parts of the sea a coat goes over. They add up to its cover.
 * @param over the part of the board it is for
 */
export function coatRegions(shape: Shape, sea: Sea, cut: Cut, over: Over, { inset, gap, offAreas }: Kept = {}): CoatRegions {
  const empty: CoatRegions = { beach: nowhere, sea: cut.sea.map(() => nowhere), areas: cut.areas.map(() => nowhere) };
  const plain = !inset && !gap;
  if (over.kind === 'whole' && plain) return { beach: cut.beach, sea: cut.sea, areas: offAreas ? empty.areas : cut.areas };
  if (over.kind === 'sea' && plain) return { ...empty, sea: cut.sea };
  if (over.kind === 'beach' && plain) return { ...empty, beach: cut.beach };
  const { face } = cut;
  const masks: Paths[] = [];
  let keptOff: Paths = [];
  if (over.kind === 'deep') masks.push(toPaths([fromDeep(shape, sea.side, over.share)]));
  if (over.kind === 'strip') {
    const land = joinedPaths(toPaths(cut.beach.rings));
    masks.push(grown(land, over.to));
    keptOff = grown(land, over.from);
  }
  if (inset) masks.push(grown(face.rim, -inset));
  if (gap) keptOff = [...keptOff, ...gapStrip(sea, gap.along, gap.width)];
  const part = (region: Region): Region => {
    if (region.area === 0) return nowhere;
    let paths = toPaths(region.rings);
    for (const mask of masks) paths = common(paths, mask);
    return regionOf(without(paths, keptOff), face);
  };
  return {
    beach: over.kind === 'whole' || over.kind === 'beach' || over.kind === 'deep' ? part(cut.beach) : nowhere,
    sea: over.kind === 'beach' || over.kind === 'area' ? empty.sea : cut.sea.map(part),
    areas: cut.areas.map((area, i) => {
      const own = over.kind === 'area' ? sea.areas?.[i]?.id === over.areaId : over.kind === 'whole' || over.kind === 'deep';
      return own && (over.kind === 'area' || !offAreas) ? part(area) : nowhere;
    }),
  };
}

/** A band of the beach by how far inland from the shore it lies, mm. @param to left out for all the rest */
export function inlandBand(cut: Cut, from: number, to?: number): { rings: Ring[]; area: number } {
  const water = joinedPaths(cut.sea.flatMap((part) => toPaths(part.rings)));
  const beach = toPaths(cut.beach.rings);
  const near = to === undefined ? beach : common(beach, grown(water, to));
  const band = without(near, grown(water, from));
  return { rings: toRings(band), area: areaOf(band) };
}

/** Whether a point lies inside polygons, by crossings. */
export const inside = (p: Point, rings: Ring[]): boolean =>
  rings.reduce((count, ring) => {
    let crossings = 0;
    for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
      const [a, b] = [ring[i]!, ring[j]!];
      if (a.y > p.y !== b.y > p.y && p.x < ((b.x - a.x) * (p.y - a.y)) / (b.y - a.y) + a.x) crossings++;
    }
    return count + crossings;
  }, 0) %
    2 ===
  1;

/** Which part a point lies in: 0 the beach, the sea from the shore seaward, then areas; −1 off all of them. */
export const partOf = (p: Point, regions: CoatRegions): number => partsOf(regions).findIndex((part) => inside(p, part.rings));
