import Type, { type Static } from 'typebox';
import { limits } from '../limits';
import { object, range, from0, Point } from './parts';

/** What moves white: air, a dryer's, a gun's, or a flame. */
export const AirTool = Type.Enum(['hot air', 'dryer', 'torch', 'gun']);
export type AirTool = Static<typeof AirTool>;

/**
 * Air drawn over the board: its middle along `path`, mm of the chart, at even times over its `seconds`, blowing `toward`,
 * radians from +x toward +y, after the hand went back for `back` seconds.
 */
export const AirStroke = object({
  path: Type.Array(Point, { minItems: 2, maxItems: limits.strokePoints.max }),
  seconds: range(limits.strokeSeconds),
  toward: Type.Number({ minimum: -7, maximum: 7 }),
  back: Type.Optional(from0(limits.strokeSeconds.max)),
});
export type AirStroke = Static<typeof AirStroke>;

/** A pass of air: after a `wait`, s, strokes of one tool held `distance` mm off at `angle` degrees, its `fan` beside the middle, 1. */
export const AirPass = object({
  wait: from0(limits.passWait.max),
  tool: AirTool,
  distance: Type.Optional(range(limits.toolDistance)),
  angle: Type.Optional(range(limits.toolAngle)),
  fan: Type.Optional(range(limits.toolFan)),
  strokes: Type.Array(AirStroke, { minItems: 1, maxItems: limits.strokes.max }),
});
export type AirPass = Static<typeof AirPass>;

/**
 * A rehearsal that was kept, as what was done in it; what came of it follows. `on` tells the board, the line and the wave it was made
 * for; `ml` is the white of one board, laid `rough` unevenly at `minute` after mixing, on `barrier` mm of clear, `off` mm out
 * to sea of the wave's own line, or along a `line` that was drawn. `luck` is that of the hand.
 */
export const Rehearsed = object({
  on: Type.String({ minLength: 1, maxLength: 20 }),
  ml: from0(limits.rehearsedMl.max),
  rough: from0(limits.rough.max),
  minute: range(limits.minute),
  barrier: from0(limits.film.max),
  off: Type.Optional(range(limits.lineOff)),
  line: Type.Optional(Type.Array(Point, { minItems: 2, maxItems: limits.strokePoints.max })),
  luck: Type.Integer({ minimum: 1, maximum: 1000 }),
  passes: Type.Array(AirPass, { maxItems: 12 }),
});
export type Rehearsed = Static<typeof Rehearsed>;
