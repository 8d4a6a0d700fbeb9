import Type, { type Static } from 'typebox';
import { limits } from '../limits';
import { object, range, from0, colour, coordinate, tagged, Point } from './parts';

const sides = { width: range(limits.side), height: range(limits.side) };
const corner = () => Type.Optional(range(limits.corner));
const Rectangle = object({ kind: Type.Literal('rectangle'), ...sides, corner: corner() });
const Round = object({ kind: Type.Literal('round'), diameter: range(limits.side) });
const Oval = object({ kind: Type.Literal('oval'), ...sides });
const Heart = object({ kind: Type.Literal('heart'), ...sides });
/** Pointed nose to the right, round tail to the left. */
const SurfPlank = object({ kind: Type.Literal('surf plank'), ...sides });
/** A body with rounded corners and a handle at its right, of the width given and with a round end. */
const Plank = object({
  kind: Type.Literal('plank'),
  ...sides,
  corner: corner(),
  handle: object({ length: range(limits.side), width: range(limits.side) }),
});
/** A slice of a trunk: its rim strays by `uneven` of the radius, the same for the same seed. */
const Slice = object({
  kind: Type.Literal('slice'),
  ...sides,
  seed: Type.Integer({ minimum: 0, maximum: 999999 }),
  uneven: range(limits.uneven),
});
/** Any outline: closed polygons, filled by the even-odd rule, with their bounds at the origin. */
const Outline = object({
  kind: Type.Literal('outline'),
  rings: Type.Array(Type.Array(Point, { minItems: 3, maxItems: 4000 }), { minItems: 1, maxItems: 60 }),
});
export type Rectangle = Static<typeof Rectangle>;
export type Round = Static<typeof Round>;
export type Plank = Static<typeof Plank>;
export type Slice = Static<typeof Slice>;
export type Outline = Static<typeof Outline>;
export type Shape = Rectangle | Round | Static<typeof Oval> | Static<typeof Heart> | Static<typeof SurfPlank> | Plank | Slice | Outline;
export const Shape = tagged<Shape>(Rectangle, Round, Oval, Heart, SurfPlank, Plank, Slice, Outline);

/** A round hole by its centre: kept open (`taped` below and inside), or filled with the first coat on purpose. */
export const Hole = object({
  x: coordinate(),
  y: coordinate(),
  diameter: range(limits.hole),
  filled: Type.Optional(Type.Boolean()),
  taped: Type.Optional(Type.Boolean()),
});
export type Hole = Static<typeof Hole>;

/** A clock's movement: the hole at the middle, the thread of its shaft, and the circle of its hour marks, mm. */
export const Clock = object({ hole: range(limits.shaft), shaft: range(limits.shaft), dial: range(limits.side) });
export type Clock = Static<typeof Clock>;

export const Material = Type.Enum([
  'raw wood',
  'thin ply',
  'ply',
  'varnished wood',
  'canvas',
  'mdf',
  'slate',
  'ceramic',
  'glass',
  'plastic',
  'cured resin',
]);
export type Material = Static<typeof Material>;
export const Primer = Type.Enum(['none', 'gesso', 'paint', 'clear sealer', 'scuff only']);
export type Primer = Static<typeof Primer>;
/** A second ground over the primer that is to show through. */
export const Ground = Type.Enum(['foil', 'painted']);
export type Ground = Static<typeof Ground>;
export const Underside = Type.Enum(['none', 'tape', 'film', 'grease', 'latex']);
export type Underside = Static<typeof Underside>;
/**
 * `relief` is a texture of paste and sand: its height over the board, mm, and the share of the face it takes. `colours` are
 * those of its paint, from the deep to the beach, or of the bare board where nothing hides it; one is the same all over.
 */
export const Surface = object({
  material: Material,
  primer: Primer,
  primerCoats: Type.Integer({ minimum: 0, maximum: 9 }),
  doubled: Type.Optional(Type.Boolean()),
  relief: Type.Optional(object({ height: range(limits.relief), share: from0(1) })),
  ground: Type.Optional(Ground),
  colours: Type.Optional(Type.Array(colour(), { minItems: 1, maxItems: limits.colours.max })),
  underside: Type.Optional(Underside),
});
export type Surface = Static<typeof Surface>;

/** How the resin ends at the rim. */
export const Edge = Type.Enum(['run over', 'taped', 'dammed', 'wall']);
export type Edge = Static<typeof Edge>;
export const Use = Type.Enum(['wall', 'food', 'hot mugs']);
export type Use = Static<typeof Use>;
