import Type, { type Static } from 'typebox';
import { limits } from '../limits';
import { slopeGrounds } from '../enums';
import { Part } from './coats';
import { object, range, from0, id, name } from './parts';

/** A colourant's parts by weight of a mixture of colourants; how much of the mixture goes into a cup is another matter. */
export const MixturePart = object({ colourantId: id(), parts: from0(1000) });
export type MixturePart = Static<typeof MixturePart>;

/** One cup of a slope. `recipe` is given where the cup is locked and stays as it is; else it follows from the slope. */
export const SlopeCup = object({
  id: id(),
  name: name(),
  ml: range(limits.slopeCup),
  recipe: Type.Optional(Type.Array(Part, { maxItems: 6 })),
});
export type SlopeCup = Static<typeof SlopeCup>;

export const SlopeGround = Type.Enum([...slopeGrounds]);
export type SlopeGround = Static<typeof SlopeGround>;

/**
 * A set of tints, deep to shore: what is asked of it. `palest` and `deepest` are OKLab lightness as seen in a film of
 * `film` mm over `ground`. The colourants run from the mixture `deep` toward the mixture `toward`, as far as turns the
 * hue at the shore by `turn` degrees. `palestFirst` lays it the other way round.
 */
export const Slope = object({
  id: id(),
  name: name(),
  resinId: id(),
  film: range(limits.film),
  ground: SlopeGround,
  palest: range(limits.lightness),
  deepest: range(limits.lightness),
  turn: range(limits.turn),
  deep: Type.Array(MixturePart, { maxItems: 6 }),
  toward: Type.Array(MixturePart, { maxItems: 6 }),
  cups: Type.Array(SlopeCup, { minItems: limits.slopeCups.min, maxItems: limits.slopeCups.max }),
  palestFirst: Type.Optional(Type.Boolean()),
});
export type Slope = Static<typeof Slope>;
