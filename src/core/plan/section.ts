import type { Coat, Point } from '#core/document';
import { buildUpOf, type PiecePlan } from './piece';
import { buildUp, levelsOf, lineField } from './heights';
import { coatName } from './coats';

/** One coat or dressing in the cut, as its lower and upper surface at each place, mm above the board. */
export interface SectionLayer {
  /** Of the coat it is; undefined for relief and for dressings. */
  coatId?: string;
  name: string;
  kind: Coat['kind'] | 'relief' | 'dressing';
  bottom: Float64Array;
  top: Float64Array;
  /** Thickest place in the cut, mm. */
  most: number;
}

/** The cut through a piece from A to B. */
export interface Section {
  /** Length of the cut, mm, and how far along each place lies. */
  length: number;
  along: Float64Array;
  /** Which part of the board each place lies in: 0 the beach, then the sea from the shore seaward; −1 off the resin. */
  parts: Int8Array;
  layers: SectionLayer[];
  /** Highest surface in the cut, mm. */
  height: number;
}

/** Places at which a cut is read. */
const PLACES = 321;

/** The cut A–B through the build-up of a piece. Poured coats rest where they rest over the whole board. */
export function sectionOf(plan: PiecePlan, a: Point, b: Point): Section {
  const field = lineField(a, b, PLACES);
  const { layings, parts, surface } = buildUp(plan.site, field, levelsOf(buildUpOf(plan)));
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  const ground = new Float64Array(PLACES);
  const layers = layings.map(({ of, thickness }): SectionLayer => {
    const bottom = ground.slice();
    let most = 0;
    for (let i = 0; i < PLACES; i++) {
      ground[i]! += thickness[i]!;
      most = Math.max(most, thickness[i]!);
    }
    const shared = { bottom, top: ground.slice(), most };
    if (of === 'relief') return { ...shared, name: 'relief', kind: 'relief' };
    if ('when' in of) return { ...shared, name: of.kind, kind: 'dressing' };
    return { ...shared, coatId: of.id, name: coatName(of), kind: of.kind };
  });
  return {
    length,
    along: Float64Array.from({ length: PLACES }, (_, i) => (length * i) / (PLACES - 1)),
    parts,
    layers,
    height: surface.reduce((most, h) => Math.max(most, h), 0),
  };
}

/** What stands above the last levelling coat, and what is left of a tray's wall. */
export interface Clearance {
  /** Level of the topmost poured surface, mm above the board. */
  level: number;
  /** Highest of everything, mm. */
  highest: number;
  /** Height of wall left above the level, mm; undefined without a wall. */
  wallLeft?: number;
  /** Thinnest the last coat lies where it lies, mm. */
  leastTop: number;
}

/** How a piece ends at its top, over the whole board. */
export function clearanceOf(plan: PiecePlan): Clearance {
  const { layings, surface, parts } = buildUpOf(plan);
  const levels = layings.flatMap((l) => (l.level === undefined ? [] : [l.level]));
  let flat = 0;
  for (let i = 0; i < surface.length; i++) if (parts[i]! >= 0) flat = Math.max(flat, surface[i]!);
  const last = layings.findLast((l) => l.of !== 'relief' && !('when' in l.of));
  const level = last?.level ?? levels.at(-1) ?? flat;
  let least = Infinity;
  if (last) for (let i = 0; i < surface.length; i++) if (parts[i]! >= 0) least = Math.min(least, last.thickness[i]!);
  const { wallHeight, edge } = plan.piece;
  return {
    level,
    highest: flat,
    ...(edge === 'wall' && wallHeight !== undefined && { wallLeft: wallHeight - flat }),
    leastTop: least === Infinity ? 0 : least,
  };
}

/** Colour of a coat in the cut over a part, where its own cup gives one. */
export function sectionColour(plan: PiecePlan, layer: SectionLayer, part: number): string | undefined {
  const coat = plan.coats.find((c) => c.coat.id === layer.coatId);
  if (!coat) return undefined;
  if (coat.coat.kind === 'sea') {
    const index = plan.cut.sea.length - part;
    return coat.cups.find((c) => c.key === `${coat.coat.id}/${index}`)?.colour;
  }
  return coat.cups.find((c) => c.colour)?.colour;
}
