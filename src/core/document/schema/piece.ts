import Type, { type Static } from 'typebox';
import { limits } from '../limits';
import { Clock, Edge, Hole, Shape, Surface, Use } from './board';
import { Coat } from './coats';
import { Dressing, Sea } from './sea';
import { Sold } from './outcome';
import { object, range, id, name, date, moment } from './parts';

/**
 * How a board stands to cure: on how many feet, so far in from its rim, mm, and how it hangs, degrees: positive where its
 * right end, or the edge at the foot of the drawing, is the lower.
 */
export const Stands = object({
  feet: Type.Integer({ minimum: limits.feet.min, maximum: limits.feet.max }),
  inset: range(limits.inset),
  along: range(limits.tilt),
  across: range(limits.tilt),
});
export type Stands = Static<typeof Stands>;

export const Piece = object({
  id: id(),
  name: name(),
  count: Type.Integer({ minimum: limits.count.min, maximum: limits.count.max }),
  use: Use,
  shape: Shape,
  holes: Type.Array(Hole, { maxItems: 40 }),
  thickness: range(limits.thickness),
  surface: Surface,
  edge: Edge,
  wallHeight: Type.Optional(range(limits.wall)),
  tapeOff: Type.Optional(Type.Enum(['while soft', 'after hardening'])),
  clock: Type.Optional(Clock),
  hangerKg: Type.Optional(range(limits.hanger)),
  /** The piece at its left in a row that one shore runs across, and the space between, mm. */
  beside: Type.Optional(object({ pieceId: id(), gap: range(limits.gap) })),
  sea: Sea,
  dressings: Type.Optional(Type.Array(Dressing, { maxItems: 60 })),
  coats: Type.Array(Coat, { maxItems: 12 }),
  stands: Type.Optional(Stands),
  pourAt: Type.Optional(moment()),
  dueOn: Type.Optional(date()),
  /** How much its promise weighs beside others, 3 where it is left out. */
  priority: Type.Optional(Type.Integer({ minimum: limits.priority.min, maximum: limits.priority.max })),
  /** What one of them weighs, finished, kg. */
  weighs: Type.Optional(range(limits.weighs)),
  sold: Type.Optional(Sold),
  /** The pour it was made again from. */
  again: Type.Optional(id()),
});
export type Piece = Static<typeof Piece>;
