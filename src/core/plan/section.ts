import { hexOf, seenColour, stackOver } from '#core/tint';
import { primerFilm } from '#core/craft';
import type { Coat, Point } from '#core/document';
import { buildUpOf, type PiecePlan } from './piece';
import { buildUp, levelsOf, lineField } from './heights';
import { waveSection, type Laying } from './laid';
import { coatName } from './coats';
import { groundsUnder, layerOf, type Stage } from './colours';
import { layingsAt, seenThrough } from './seen';

/** One coat or dressing in the cut, a wave as its barrier and its white, as its lower and upper surface at each place, mm above the board. */
export interface SectionLayer {
  /** Of the coat it is; undefined for relief and for dressings. */
  coatId?: string;
  name: string;
  kind: Coat['kind'] | 'barrier' | 'relief' | 'dressing';
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
  /** What is seen looking down at each place, through all coats of the stage as thick as they lie there; undefined where no model knows it. */
  seen: (string | undefined)[];
  /** Film the primer leaves below all of them, mm. */
  primer: number;
  /** Highest surface in the cut, mm. */
  height: number;
}

/** Places at which a cut is read. */
const PLACES = 321;

/** The cut A–B through the build-up of a piece, at a stage of it. Poured coats rest where they rest over the whole board. */
export function sectionOf(plan: PiecePlan, a: Point, b: Point, stage: Stage = { coats: plan.piece.coats.length, wet: false }): Section {
  const field = lineField(a, b, PLACES);
  const built = buildUp(plan.site, field, levelsOf(buildUpOf(plan)));
  const { parts, surface } = built;
  const layings = layingsAt(built.layings, plan.site, stage.coats);
  const seen = seenThrough(layings, parts, plan.site, plan.means.colourants, stage);
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  const ground = new Float64Array(PLACES);
  const layer = (of: Laying['of'], thickness: (i: number) => number, kind?: SectionLayer['kind'], name?: string): SectionLayer => {
    const bottom = ground.slice();
    let most = 0;
    for (let i = 0; i < PLACES; i++) {
      ground[i]! += thickness(i);
      most = Math.max(most, thickness(i));
    }
    const shared = { bottom, top: ground.slice(), most };
    if (of === 'relief') return { ...shared, name: 'relief', kind: 'relief' };
    if ('when' in of) return { ...shared, name: of.kind, kind: 'dressing' };
    return { ...shared, coatId: of.id, name: name ?? coatName(of), kind: kind ?? of.kind };
  };
  const layers = layings.flatMap(({ of, thickness }): SectionLayer[] => {
    if (of === 'relief' || 'when' in of || of.kind !== 'wave') return [layer(of, (i) => thickness[i]!)];
    const { clear, foam } = waveSection(of, plan.means.method);
    const share = clear + foam > 0 ? clear / (clear + foam) : 0;
    const barrier = (): SectionLayer => layer(of, (i) => thickness[i]! * share, 'barrier', 'barrier');
    const white = (): SectionLayer => layer(of, (i) => thickness[i]! * (1 - share), 'wave', 'white');
    return share === 0 ? [white()] : of.under === 'white first' ? [white(), barrier()] : [barrier(), white()];
  });
  const { primer, primerCoats } = plan.piece.surface;
  return {
    length,
    along: Float64Array.from({ length: PLACES }, (_, i) => (length * i) / (PLACES - 1)),
    parts,
    layers,
    seen: Array.from(parts, (_, i) => (Number.isNaN(seen[3 * i]!) ? undefined : hexOf([seen[3 * i]!, seen[3 * i + 1]!, seen[3 * i + 2]!]))),
    primer: primerFilm[primer] * primerCoats,
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

/** Colour of a coat in the cut over a part, as it was seen when nothing lay on it yet; undefined for what has no tint. */
export function sectionColour(plan: PiecePlan, layer: SectionLayer, part: number): string | undefined {
  const planned = plan.coats.find((c) => c.coat.id === layer.coatId);
  if (!planned || layer.kind === 'wave' || layer.kind === 'barrier' || part < 0) return undefined;
  const { coat, cups } = planned;
  if (coat.kind !== 'sea' && coat.kind !== 'glaze' && coat.kind !== 'base') return cups.find((c) => c.colour)?.colour;
  const ground = groundsUnder(plan, coat.id, plan.means.colourants)[part];
  return ground && hexOf(seenColour(stackOver([layerOf(coat, part, plan.cut.sea.length, plan.means.colourants, planned.film)], ground)));
}
