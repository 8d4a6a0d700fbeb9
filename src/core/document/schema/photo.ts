import Type, { type Static } from 'typebox';
import { limits } from '../limits';
import { from0, id, moment, name, object, range } from './parts';

/** What of the work a photograph shows. */
export const PhotoStage = Type.Enum(['bare board', 'before the white', 'white laid', 'after the heat', 'hard', 'finished']);
export type PhotoStage = Static<typeof PhotoStage>;

/** How far, mm: the middle of it, and what 95 % stay behind. */
const reach = () => object({ middle: from0(limits.reading95.max), most: from0(limits.reading95.max) });

/**
 * What was measured in a photograph of a board, as it was measured: share of white; cells per cm² and their diameters at 10, 50
 * and 90 %, mm, where they could be told; how far the foam went from its line, and how much of it is open; OKLab lightness of those
 * parts of the sea that could be read, from 0 at the deep side; how far the shore is turned against the plan, degrees. `pxPerMm` is how fine it was seen,
 * `blur` how soft, mm, `glare` the share lost to it, `light` brightest over dimmest, `noise` as a share of full light.
 */
export const PhotoReading = object({
  at: moment(),
  white: from0(1),
  open: Type.Optional(from0(1)),
  cells: Type.Optional(object({ count: from0(100000), perCm2: from0(10000), low: from0(100), middle: from0(100), high: from0(100) })),
  toSea: Type.Optional(reach()),
  up: Type.Optional(reach()),
  bands: Type.Array(object({ part: Type.Integer({ minimum: 0, maximum: 7 }), lightness: from0(1) }), { maxItems: 8 }),
  turned: Type.Optional(Type.Number({ minimum: -90, maximum: 90 })),
  pxPerMm: from0(1000),
  blur: from0(100),
  glare: from0(1),
  light: from0(1000),
  noise: from0(1),
});
export type PhotoReading = Static<typeof PhotoReading>;

/**
 * A photograph as it is told in the studio's file; its picture stands beside the file, in an archive, or in the browser. `sum` is the
 * SHA-256 of the kept picture. `marks` are where the board lies in it, as shares of its width and height: four corners of a board
 * clockwise from its upper left, or three points on the rim of a round one, of which the first lies at the top of the drawing.
 */
export const Photo = object({
  id: id(),
  name: name(),
  takenAt: moment(),
  width: Type.Integer({ minimum: 1, maximum: limits.photoSide.max }),
  height: Type.Integer({ minimum: 1, maximum: limits.photoSide.max }),
  bytes: Type.Integer({ minimum: 1, maximum: limits.photoBytes.max }),
  sum: Type.String({ pattern: '^[0-9a-f]{64}$' }),
  pieceId: Type.Optional(id()),
  /** Which of several boards, from 1. */
  board: Type.Optional(Type.Integer({ minimum: limits.count.min, maximum: limits.count.max })),
  pourId: Type.Optional(id()),
  stage: Type.Optional(PhotoStage),
  /** It was made up by a rehearsal, to try things on: nothing is learned from it. */
  drawn: Type.Optional(Type.Boolean()),
  marks: Type.Optional(Type.Array(object({ x: range({ min: 0, max: 1 }), y: range({ min: 0, max: 1 }) }), { minItems: 3, maxItems: 4 })),
  reading: Type.Optional(PhotoReading),
});
export type Photo = Static<typeof Photo>;
