import { boxOf, type Hole, type Outline, type Shape } from '#core/document';
import { areaOf, cleaned, outersOf, toRings, type Paths } from './clip';
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

const cleanedOutlines = new WeakMap<Outline, Paths>();

/** The polygons of a free outline with their crossings resolved, outer rings one way round and openings the other. */
function outlinePaths(shape: Outline): Paths {
  let paths = cleanedOutlines.get(shape);
  if (!paths) cleanedOutlines.set(shape, (paths = cleaned(shape.rings)));
  return paths;
}

const rings = new WeakMap<Shape, Ring[]>();

function ringsOf(shape: Shape): Ring[] {
  const { width: w, height: h } = bounds(shape);
  switch (shape.kind) {
    case 'rectangle':
      return [rectangleRing(shape)];
    case 'round':
    case 'oval':
      return [ovalRing(w / 2, h / 2, w / 2, h / 2, OVAL_SIDES)];
    case 'heart':
      return [heartRing(w, h)];
    case 'surf plank':
      return [surfRing(w, h)];
    case 'plank':
      return [plankRing(shape)];
    case 'slice':
      return [sliceRing(shape)];
    case 'outline':
      return toRings(outlinePaths(shape));
  }
}

/** The face of a shape as polygons, mm, by the non-zero rule; more than one only for a free outline. */
export function rimRings(shape: Shape): Ring[] {
  let kept = rings.get(shape);
  if (!kept) rings.set(shape, (kept = ringsOf(shape)));
  return kept;
}

export const holeRing = (hole: Hole): Ring => ovalRing(hole.x, hole.y, hole.diameter / 2, hole.diameter / 2, 48);

function faceArea(shape: Shape): number {
  const { width: w, height: h } = bounds(shape);
  switch (shape.kind) {
    case 'rectangle':
      return rectangleArea(shape);
    case 'round':
    case 'oval':
      return (Math.PI * w * h) / 4;
    case 'heart':
      return heartArea(w, h);
    case 'surf plank':
      return surfArea(w, h);
    case 'plank':
      return plankArea(shape);
    case 'slice':
      return Math.abs(ringArea(rimRings(shape)[0]!));
    case 'outline':
      return areaOf(outlinePaths(shape));
  }
}

/**
 * Area of a shape's face without its open holes, mm²: in closed form, for a slice and a free outline that of its
 * polygon. Holes are taken to lie inside and apart.
 */
export const outlineArea = (shape: Shape, holes: Hole[] = []): number =>
  holes.reduce((left, hole) => (hole.filled ? left : left - (Math.PI * hole.diameter ** 2) / 4), faceArea(shape));

/** Length of a shape's outer rim, mm, as exact as its area. */
export function rimLength(shape: Shape): number {
  const { width: w, height: h } = bounds(shape);
  switch (shape.kind) {
    case 'rectangle':
      return rectangleRim(shape);
    case 'round':
    case 'oval':
      return ellipseRim(w / 2, h / 2);
    case 'heart':
      return heartRim(w, h);
    case 'surf plank':
      return surfRim(w, h);
    case 'plank':
      return plankRim(shape);
    case 'slice':
      return ringLength(rimRings(shape)[0]!);
    case 'outline':
      return toRings(outersOf(outlinePaths(shape))).reduce((sum, ring) => sum + ringLength(ring), 0);
  }
}
