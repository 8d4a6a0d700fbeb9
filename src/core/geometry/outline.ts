import { boxOf, type Hole, type Outline, type Shape } from '#core/document';
import { areaOf, cleaned, toRings, type Paths } from './clip';
import { ellipseRim } from './shapes/ellipse';
import { heartArea, heartRim, heartRing } from './shapes/heart';
import { plankArea, plankRim, plankRing } from './shapes/plank';
import { rectangleArea, rectangleRim, rectangleRing } from './shapes/rectangle';
import { ovalRing, ringArea, ringLength, type Ring } from './shapes/ring';
import { sliceRing } from './shapes/slice';
import { surfArea, surfRim, surfRing } from './shapes/surf-plank';

export type { Ring } from './shapes/ring';

/** Sides of the polygon that stands for an oval. Its area is made equal to the oval's. */
const OVAL_SIDES = 128;

export interface Bounds {
  width: number;
  height: number;
}

/** Bounds of a shape, mm; every shape stands with its upper left corner at the origin. */
export function bounds(shape: Shape): Bounds {
  const [width, height] = boxOf(shape);
  return { width, height };
}

/** A free outline with its crossings resolved, outer rings one way round and openings the other. */
const facePaths = (shape: Outline): Paths => cleaned(shape.rings);

/** The one ring of a shape whose form is a formula. */
function ringOf(shape: Exclude<Shape, Outline>): Ring {
  const { width: w, height: h } = bounds(shape);
  switch (shape.kind) {
    case 'rectangle':
      return rectangleRing(shape);
    case 'round':
    case 'oval':
      return ovalRing(w / 2, h / 2, w / 2, h / 2, OVAL_SIDES);
    case 'heart':
      return heartRing(w, h);
    case 'surf plank':
      return surfRing(w, h);
    case 'plank':
      return plankRing(shape);
    case 'slice':
      return sliceRing(shape);
  }
}

/** The face of a shape as polygons, mm, by the non-zero rule; more than one only for a free outline. */
export const rimRings = (shape: Shape): Ring[] => (shape.kind === 'outline' ? toRings(facePaths(shape)) : [ringOf(shape)]);

/** A hole as a polygon, mm. */
export const holeRing = (hole: Hole): Ring => ovalRing(hole.x, hole.y, hole.diameter / 2, hole.diameter / 2, 48);

/** Area, mm², and outer rim, mm, of a shape whose form is a formula. */
function formulaOf(shape: Exclude<Shape, Outline>, ring: Ring): { area: number; rim: number } {
  const { width: w, height: h } = bounds(shape);
  switch (shape.kind) {
    case 'rectangle':
      return { area: rectangleArea(shape), rim: rectangleRim(shape) };
    case 'round':
    case 'oval':
      return { area: (Math.PI * w * h) / 4, rim: ellipseRim(w / 2, h / 2) };
    case 'heart':
      return { area: heartArea(w, h), rim: heartRim(w, h) };
    case 'surf plank':
      return { area: surfArea(w, h), rim: surfRim(w, h) };
    case 'plank':
      return { area: plankArea(shape), rim: plankRim(shape) };
    case 'slice':
      return { area: Math.abs(ringArea(ring)), rim: ringLength(ring) };
  }
}

/** A shape's face: its polygons, mm, its area before holes are taken out, mm², and the length of its rim, mm, that of
 * its openings with it. */
export interface Measured {
  rings: Ring[];
  area: number;
  rim: number;
}

/**
 * Measures a shape: in closed form, for a slice and a free outline by its polygon.
 * @throws CutError where a free outline is too tangled to be resolved
 */
export function measured(shape: Shape): Measured {
  if (shape.kind !== 'outline') {
    const ring = ringOf(shape);
    return { rings: [ring], ...formulaOf(shape, ring) };
  }
  const paths = facePaths(shape);
  const rings = toRings(paths);
  // resin runs over the edge of an opening as it does over the outer one
  return { rings, area: areaOf(paths), rim: rings.reduce((sum, ring) => sum + ringLength(ring), 0) };
}

/** What open holes leave of an area, mm². Holes are taken to lie inside and apart. */
export const withoutHoles = (area: number, holes: Hole[]): number =>
  holes.reduce((left, hole) => (hole.filled ? left : left - (Math.PI * hole.diameter ** 2) / 4), area);

/** Area of a shape's face without its open holes, mm². */
export const outlineArea = (shape: Shape, holes: Hole[] = []): number => withoutHoles(measured(shape).area, holes);

/** Length of a shape's rim, mm, that of its openings with it, as exact as its area. */
export const rimLength = (shape: Shape): number => measured(shape).rim;
