import { openOf } from '#core/craft';
import type { Colourant, Method, WaveCoat } from '#core/document';
import { groundKnown, groundOf, layerOver, recipeLayer, sandGround, seenColour, type Layer, type Rgb } from '#core/tint';
import { layerOf, wetWaves, type Stage } from './colours';
import type { Laying } from './laid';
import type { Site } from './site';

/** A grain of sand across, mm: where sand lies thinner than that its grains stand apart, and what is below shows between them. */
const GRAIN = 0.5;

/** What one laid thing does to what is below it at a place: internal reflectance in, internal reflectance out, in place. */
type Over = (R: Rgb, thickness: number, part: number) => void;

function through(R: Rgb, { absorb, scatter }: Pick<Layer, 'absorb' | 'scatter'>, film: number): void {
  for (const c of [0, 1, 2] as const) R[c] = layerOver(absorb[c], scatter[c], film, R[c]);
}

/** Foam of the white's own film where it is closed; its open cells show what is below. */
function foam(wave: WaveCoat, method: Method, colourants: Colourant[], wet: boolean): Over {
  const white = recipeLayer(wave.white.recipe, colourants, method.foamFilm);
  const closed = wet ? 1 : 1 - openOf(wave, method.foamOpen);
  return (R) => {
    for (const c of [0, 1, 2] as const)
      R[c] = closed * layerOver(white.absorb[c], white.scatter[c], white.film, R[c]) + (1 - closed) * R[c];
  };
}

function overOf({ of }: Laying, site: Site, colourants: Colourant[], wet: Set<string>): Over | undefined {
  if (of === 'relief' || 'when' in of) return undefined;
  if (of.kind === 'wave') return foam(of, site.method, colourants, wet.has(of.id));
  if (of.kind === 'sand')
    return (R, thickness) => {
      const covered = Math.min(1, thickness / GRAIN);
      for (const c of [0, 1, 2] as const) R[c] = covered * sandGround.internal[c] + (1 - covered) * R[c];
    };
  const n = site.cut.sea.length;
  // a film of 1 mm of each part's own recipe; the bed of clear keeps its share of a thicker film
  const layers = Array.from({ length: n + 1 }, (_, part) => layerOf(of, part, n, colourants, 1));
  const share = of.kind === 'sea' ? 1 - (of.bed ?? 0) / of.film : 1;
  return (R, thickness, part) => through(R, layers[part]!, thickness * share);
}

/** Whether what is known of the ground is hidden by sand at a place. */
const hidden = (layings: Laying[], i: number): boolean =>
  layings.some((l) => l.of !== 'relief' && 'kind' in l.of && l.of.kind === 'sand' && l.thickness[i]! >= GRAIN);

/**
 * What is seen at each place of a built-up board, looking down through every coat as thick as it really lies there.
 * @param layings bottom first @param parts which part each place lies in
 * @returns linear sRGB, one place after the other; NaN off the resin and where no model knows the ground
 */
export function seenThrough(layings: Laying[], parts: Int8Array, site: Site, colourants: Colourant[], stage: Stage): Float64Array {
  const ground = groundOf(site.piece.surface);
  const known = groundKnown(site.piece.surface);
  const wet = wetWaves(site, stage);
  const overs = layings.map((laying) => ({ laying, over: overOf(laying, site, colourants, wet) }));
  const out = new Float64Array(3 * parts.length).fill(NaN);
  const R: Rgb = [0, 0, 0];
  for (let i = 0; i < parts.length; i++) {
    const part = parts[i]!;
    if (part < 0 || (!known && !hidden(layings, i))) continue;
    for (const c of [0, 1, 2] as const) R[c] = ground.internal[c];
    let laid = false;
    for (const { laying, over } of overs) {
      const thickness = laying.thickness[i]!;
      if (!over || thickness <= 0) continue;
      laid = true;
      over(R, thickness, part);
    }
    const seen = laid ? seenColour(R) : ground.bare;
    for (const c of [0, 1, 2] as const) out[3 * i + c] = seen[c];
  }
  return out;
}

/** Layings of the first coats of a piece, with what was set before and between them. */
export function layingsAt(layings: Laying[], site: Site, coats: number): Laying[] {
  const next = site.piece.coats[coats];
  const end = next ? layings.findIndex((l) => l.of === next) : -1;
  return end < 0 ? layings : layings.slice(0, end);
}
