import { foamOver, type Covers, type Site } from '#core/coat';
import type { Coat, Colourant } from '#core/document';
import { partsOf } from '#core/geometry';
import { seenColour, type Rgb } from '#core/tint';
import { THICK_WHITE } from './colours';
import type { Laying } from './layings';
import { coverOver, groundStack, hides, mayHide } from './stack';
import { wetWaves, type Stage } from './stage';

/** A coat among what is laid; what is set and what was built below it has no colour in the models. */
const coatOf = ({ of }: Laying): Coat | undefined => (of === 'relief' || 'when' in of ? undefined : of);

/** What one laid coat does to what is below it, part by part: while its wave is wet its cells have not opened. */
function coversOf(coat: Coat, site: Site, colourants: Colourant[], wet: Set<string>): Covers[] {
  const { method } = site;
  if (coat.kind === 'wave' && wet.has(coat.id))
    return Array<Covers>(partsOf(site.cut).length).fill(foamOver(coat, { colourants, method }, 1));
  return partsOf(site.cut).map((_, part) => coverOver(site, coat, part, colourants));
}

/** White mixed into what is below as far as it is seen there. */
const mixedIn =
  (white: Covers): Covers =>
  (internal, share) => {
    const below = [...internal] as Rgb;
    white(internal, THICK_WHITE);
    for (const c of [0, 1, 2] as const) internal[c] = share * internal[c] + (1 - share) * below[c];
  };

/**
 * What is seen at each place of a built-up board, looking down through every coat as thick as it really lies there.
 * @param layings bottom first @param parts which part each place lies in
 * @param foam of waves whose picture is known: how much of thick white is seen at each place, 0 to 1
 * @returns linear sRGB, one place after the other; NaN off the resin and where no model knows the ground
 */
export function seenThrough(
  layings: Laying[],
  parts: Int8Array,
  site: Site,
  colourants: Colourant[],
  stage: Stage,
  foam?: ReadonlyMap<string, Float64Array>,
): Float64Array {
  const grounds = partsOf(site.cut).map((_, part) => groundStack(site, part));
  const wet = wetWaves(site, stage);
  const coats = layings.flatMap((laying) => {
    const coat = coatOf(laying);
    if (!coat) return [];
    const pictured = coat.kind === 'wave' && !wet.has(coat.id) ? foam?.get(coat.id) : undefined;
    if (coat.kind !== 'wave' || !pictured) return [{ coat, thickness: laying.thickness, covers: coversOf(coat, site, colourants, wet) }];
    const white = foamOver(coat, { colourants, method: site.method }, 1, THICK_WHITE);
    return [{ coat, thickness: pictured, covers: partsOf(site.cut).map(() => mixedIn(white)) }];
  });
  const hiding = coats.filter(({ coat }) => mayHide(coat));
  const out = new Float64Array(3 * parts.length).fill(NaN);
  const internal: Rgb = [0, 0, 0];
  for (let i = 0; i < parts.length; i++) {
    const part = parts[i]!;
    const ground = grounds[part];
    if (!ground || (!ground.known && !hiding.some(({ coat, thickness }) => hides(coat, thickness[i]!)))) continue;
    for (const c of [0, 1, 2] as const) internal[c] = ground.internal[c];
    let laid = false;
    for (const { thickness, covers } of coats) {
      if (thickness[i]! <= 0) continue;
      laid = true;
      covers[part]!(internal, thickness[i]!);
    }
    const seen = laid ? seenColour(internal) : ground.bare!;
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
