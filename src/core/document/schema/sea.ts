import Type, { type Static } from 'typebox';
import { limits } from '../limits';
import { object, range, id, name, coordinate, Point } from './parts';

const curve = () => Type.Array(Point, { minItems: limits.curve.min, maxItems: limits.curve.max });

export const Side = Type.Enum(['far', 'near', 'left', 'right']);
export type Side = Static<typeof Side>;
/** Another beach: an open curve with its land on the right hand, or a closed one, an island. Edges as for the shoreline. */
export const Coast = object({ id: id(), closed: Type.Boolean(), points: curve(), edges: Type.Array(curve(), { maxItems: 7 }) });
export type Coast = Static<typeof Coast>;
/** Where a wave breaks out at sea. */
export const Breaker = object({ id: id(), name: name(), points: curve() });
export type Breaker = Static<typeof Breaker>;
/** A part of the board that is neither beach nor sea: inside a closed curve, or all on the right hand of an open one. */
export const Area = object({
  id: id(),
  name: name(),
  kind: Type.Enum(['sky', 'land']),
  closed: Type.Boolean(),
  points: curve(),
});
export type Area = Static<typeof Area>;

/**
 * The sea drawn on the board, origin at the upper left of its bounds, y downward. `side` is where the deep lies. The
 * shoreline and its edges run from left to right for a far or near sea, from far to near for one at the left or right;
 * `edges` part one tint from the next, from the shore seaward. What lies landward of `bare` stays without resin.
 * Gravel and dry sand are bands of the beach, mm inland from the shore.
 */
export const Sea = object({
  side: Side,
  shoreline: curve(),
  edges: Type.Array(curve(), { maxItems: 7 }),
  coasts: Type.Optional(Type.Array(Coast, { maxItems: 6 })),
  breakers: Type.Optional(Type.Array(Breaker, { maxItems: 6 })),
  areas: Type.Optional(Type.Array(Area, { maxItems: limits.areas.max })),
  bare: Type.Optional(curve()),
  gravel: Type.Optional(object({ from: range(limits.gravelFrom), to: range(limits.gravelEnd) })),
  dry: Type.Optional(object({ from: range(limits.gravelFrom) })),
});
export type Sea = Static<typeof Sea>;

export const DressingKind = Type.Enum(['shell', 'stone', 'crystal', 'glass', 'creature']);
export type DressingKind = Static<typeof DressingKind>;
export const DressedWhen = Type.Enum(['before resin', 'on the wet base', 'after the wave', 'between coats']);
export type DressedWhen = Static<typeof DressedWhen>;
/** Something set on the board: the middle, how far across and how high it is, mm, and when it goes on. */
export const Dressing = object({
  id: id(),
  kind: DressingKind,
  x: coordinate(),
  y: coordinate(),
  size: range(limits.dressing),
  height: range(limits.dressingHeight),
  when: DressedWhen,
});
export type Dressing = Static<typeof Dressing>;
