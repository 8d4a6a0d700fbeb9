import { coatName, kindOf } from '#core/coat';
import { primerFilm } from '#core/craft';
import { tintsOf, type Coat, type Method, type Point } from '#core/document';
import { hexOf } from '#core/tint';
import { buildUp, levelsOf, lineField } from './heights';
import type { Laying } from './layings';
import type { PiecePlan } from './piece';
import { layingsAt, seenThrough } from './seen';
import { coated, hexOn, stackUnder } from './stack';
import type { Stage } from './stage';

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

/** What is laid as it stands in the section, bottom first: a wave as its barrier and its white. */
function sectionParts(of: Laying['of'], method: Method): (Pick<SectionLayer, 'coatId' | 'name' | 'kind'> & { share: number })[] {
  if (of === 'relief') return [{ name: 'relief', kind: 'relief', share: 1 }];
  if ('when' in of) return [{ name: of.kind, kind: 'dressing', share: 1 }];
  return kindOf(of)
    .section(of, method)
    .map(({ kind, name = coatName(of), share }) => ({ coatId: of.id, name, kind, share }));
}

/** How much of thick white is seen of a wave at a place of the board, mm, 0 to 1; undefined for a wave without a picture. */
export type FoamSeen = (coatId: string) => ((x: number, y: number) => number) | undefined;

/** The cut A–B through the build-up of a piece, at a stage of it. Poured coats rest where they rest over the whole board. */
export function sectionOf(
  plan: PiecePlan,
  a: Point,
  b: Point,
  stage: Stage = { coats: plan.piece.coats.length, wet: false },
  foamSeen?: FoamSeen,
): Section {
  const field = lineField(a, b, PLACES);
  const built = buildUp(plan.site, field, levelsOf(plan.heights()));
  const { parts, surface } = built;
  const layings = layingsAt(built.layings, plan.site, stage.coats);
  const foam = new Map(
    plan.piece.coats.flatMap(({ id }) => {
      const at = foamSeen?.(id);
      return at ? [[id, Float64Array.from(field.x, (x, i) => at(x, field.y[i]!))] as const] : [];
    }),
  );
  const seen = seenThrough(layings, parts, plan.site, plan.means.colourants, stage, foam);
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  const ground = new Float64Array(PLACES);
  const layers = layings.flatMap(({ of, thickness }): SectionLayer[] =>
    sectionParts(of, plan.means.method).map(({ share, ...part }) => {
      const bottom = ground.slice();
      let most = 0;
      for (let i = 0; i < PLACES; i++) {
        ground[i]! += thickness[i]! * share;
        most = Math.max(most, thickness[i]! * share);
      }
      return { ...part, bottom, top: ground.slice(), most };
    }),
  );
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
  const { layings, surface, parts } = plan.heights();
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
export function sectionColour({ coats, site, means }: PiecePlan, layer: SectionLayer, part: number): string | undefined {
  const planned = coats.find((c) => c.coat.id === layer.coatId);
  if (!planned || part < 0) return undefined;
  const { coat, cups } = planned;
  if (coat.kind === 'wave') return undefined;
  if (coat.kind === 'thread') return cups[0]?.colour;
  if (!tintsOf(coat).length) return cups.find((c) => c.colour)?.colour;
  const under = stackUnder(site, coat.id, part, means.colourants);
  return under.known ? hexOn(coated(under, site, coat, part, means.colourants)) : undefined;
}
