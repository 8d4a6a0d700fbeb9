import type { Hole, Point } from '#core/document';
import { areaOf, toPaths, toRings, widened, without, type Paths } from './clip';
import { holeRing } from './outline';
import { Rim } from './rim';
import type { Ring } from './shapes/ring';

/** A part of the board. */
export interface Region {
  /** Polygons, outer rings and openings alike, mm (fill by the non-zero rule). */
  rings: Ring[];
  /** mm² */
  area: number;
  /** How much of the outer rim it has, mm. */
  rim: number;
}

/** A board cut by its sea: what stays bare, the beaches, the parts of the sea from the shore seaward, and areas of sky and land. */
export interface Cut {
  /** All that takes resin. */
  cover: Region;
  bare: Region;
  beach: Region;
  sea: Region[];
  areas: Region[];
  /** Every shore inside the outline, mm, and its pieces. */
  shoreLength: number;
  shore: Point[][];
  /** True where an edge lies landward of the one before it; regions still add up. */
  crossed: boolean;
  /** Keys of the curves that cross themselves. */
  tangled: string[];
  /** The board it was cut from. */
  face: Face;
}

/** The board's face and its rim. */
export interface Face {
  board: Paths;
  rim: Paths;
  sides: Rim;
  /** The board with its rim inside. */
  wide: Paths;
}

/** The face of a board: its polygons without its open holes. @param rings of its shape, mm */
export function faceOf(rings: Ring[], open: Hole[]): Face {
  const rim = toPaths(rings);
  const board = open.length ? without(rim, toPaths(open.map(holeRing))) : rim;
  return { rim, sides: new Rim(rim), board, wide: widened(board) };
}

/** A region from its paths: polygons, mm; area, mm²; how much of the board’s rim it has, mm. */
export const regionOf = (paths: Paths, { sides }: Pick<Face, 'sides'>): Region => ({
  rings: toRings(paths),
  area: areaOf(paths),
  rim: sides.sharedWith(paths),
});

/** No part of the board. */
export const nowhere: Region = { rings: [], area: 0, rim: 0 };

/** The parts of a board, or of what a coat takes of it, by their numbers: 0 the beach, the sea from the shore seaward, then areas. */
export const partsOf = ({ beach, sea, areas }: { beach: Region; sea: Region[]; areas: Region[] }): Region[] => [beach, ...sea, ...areas];
