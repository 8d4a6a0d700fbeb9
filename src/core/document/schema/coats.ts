import Type, { type Static } from 'typebox';
import { limits } from '../limits';
import { Edge } from './board';
import { object, range, from0, colour, date, id, name, tagged } from './parts';
import { Rehearsed } from './rehearsed';

/** A colourant and its share of A + B by weight. */
export const Part = object({ colourantId: id(), load: range(limits.load) });
export type Part = Static<typeof Part>;
export const Tint = object({ name: name(), recipe: Type.Array(Part, { maxItems: 6 }) });
export type Tint = Static<typeof Tint>;

/** The part of the board a coat goes over: a share of the board from the deep side, a strip of sea off the shore in mm, a sky or a land. */
export type Over =
  | { kind: 'whole' | 'sea' | 'beach' }
  | { kind: 'area'; areaId: string }
  | { kind: 'deep'; share: number }
  | { kind: 'strip'; from: number; to: number };
const over = (kind: string) => object({ kind: Type.Literal(kind) });
export const Over = tagged<Over>(
  over('whole'),
  over('sea'),
  over('beach'),
  object({ kind: Type.Literal('area'), areaId: id() }),
  object({ kind: Type.Literal('deep'), share: range(limits.deepShare) }),
  object({ kind: Type.Literal('strip'), from: range(limits.strip), to: range(limits.stripEnd) }),
);
export const Until = Type.Enum(['tacky', 'recoat', 'hard']);
export type Until = Static<typeof Until>;

/** What is brushed on and dried before a coat, and is no resin: of a sealer nothing is seen; a wash tints what it is over, paint hides it. */
export const Brushed = object({ kind: Type.Enum(['sealer', 'wash', 'paint']), colour: Type.Optional(colour()) });
export type Brushed = Static<typeof Brushed>;

/** What is done to a board by hand before a coat, where something went wrong below it: in words, hours of hands, and of waiting after it. */
export const Repair = object({ does: Type.String({ minLength: 1, maxLength: 400 }), hands: from0(24), wait: from0(240) });
export type Repair = Static<typeof Repair>;

/**
 * What every coat has. `name` is the artist's own; `samePour` joins it to the one below, if there is one; `ownBatch` begins a new mixing of its resin all the same.
 * Left out: `over` is the ordinary part for its kind, `edge` the board's; `inset` keeps it back from the rim, mm;
 * `waits` names a lower coat and how far that must be; while that coat lies above, it waits for nothing. A coat that `lies` was
 * on the board before the piece was taken up here; `on` is the day it was poured, where that is known.
 */
const coat = {
  id: id(),
  name: Type.Optional(name()),
  resinId: id(),
  samePour: Type.Boolean(),
  ownBatch: Type.Optional(Type.Boolean()),
  over: Type.Optional(Over),
  edge: Type.Optional(Edge),
  inset: Type.Optional(range(limits.inset)),
  waits: Type.Optional(object({ coatId: id(), until: Until })),
  brushed: Type.Optional(Brushed),
  repair: Type.Optional(Repair),
  lies: Type.Optional(object({ on: Type.Optional(date()) })),
};
/** A film follows the ground when it is spread by hand, and levels itself when it is poured. */
export const Laid = Type.Enum(['spread', 'poured']);
export type Laid = Static<typeof Laid>;
const filmed = { ...coat, film: range(limits.film), laid: Type.Optional(Laid) };

const SealCoat = object({ ...filmed, kind: Type.Literal('seal') });
/** `inshore` are further tints where a base has several, from the deep toward the beach after `tint`. */
const BaseCoat = object({
  ...filmed,
  kind: Type.Literal('base'),
  tint: Tint,
  inshore: Type.Optional(Type.Array(Tint, { minItems: 1, maxItems: 7 })),
});
/** What a beach is laid in: sand stirred in or pressed in, gravel stirred in, or a tint without either. */
export const Beach = Type.Enum(['in resin', 'pressed in', 'gravel', 'tint']);
export type Beach = Static<typeof Beach>;
/**
 * A beach. `taper` is how far it thins out, half of it under the sea, mm; `sandPerResin` sand or gravel for each of resin by
 * weight; `colour` that of the dry sand or gravel, where it is not the ordinary one; `tint` what its resin is coloured with.
 */
const SandCoat = object({
  ...filmed,
  kind: Type.Literal('sand'),
  sandPerResin: range(limits.sandPerResin),
  taper: Type.Optional(range(limits.taper)),
  how: Type.Optional(Beach),
  colour: Type.Optional(colour()),
  tint: Type.Optional(Tint),
});
/**
 * Tints from deep to shore, one for each part of the sea. `bed` is the clear flooded under them, mm of the film;
 * `slopeId` the slope they were taken from, which may have changed or gone since.
 */
const SeaCoat = object({
  ...filmed,
  kind: Type.Literal('sea'),
  tints: Type.Array(Tint, { minItems: 1, maxItems: 8 }),
  bed: Type.Optional(from0(limits.film.max)),
  slopeId: Type.Optional(id()),
  order: Type.Optional(Type.Enum(['deep first', 'shore first', 'after the white'])),
});
const GlazeCoat = object({ ...filmed, kind: Type.Literal('glaze'), tint: Tint });
const ClearCoat = object({ ...filmed, kind: Type.Literal('clear') });
/** Clear that levels over everything below it; `cover` is over the highest point, mm. */
const TopCoat = object({ ...coat, kind: Type.Literal('top'), cover: range(limits.film) });
/**
 * White along the shore, or along a breaker, pushed by heat. `layAt` is minutes after its cup was mixed; left out, it is
 * laid when it is crispest. `rest` is how long it lies before the first heat, min. Each of its `lines` is `lineWidth` wide
 * and `lineHeight` high. The drops of additive go into all of its white, into half of it, or into every cup of the pour.
 */
const WaveCoat = object({
  ...coat,
  kind: Type.Literal('wave'),
  along: Type.Optional(id()),
  lines: Type.Optional(Type.Integer({ minimum: 1, maximum: 8 })),
  lineWidth: range(limits.lineWidth),
  lineHeight: range(limits.lineHeight),
  reachSea: range(limits.reach),
  reachUp: range(limits.reach),
  layAt: Type.Optional(range(limits.minute)),
  rest: Type.Optional(range(limits.minute)),
  passes: Type.Integer({ minimum: 0, maximum: 12 }),
  under: Type.Optional(Type.Enum(['barrier', 'gap', 'none', 'white first'])),
  lace: Type.Optional(Type.Enum(['open', 'some', 'bright'])),
  heat: Type.Optional(Type.Enum(['hot air', 'torch then air', 'air then torch', 'hair dryer'])),
  additive: Type.Optional(Type.Enum(['none', 'silicone', 'other'])),
  additiveDrops: Type.Optional(Type.Integer({ minimum: limits.additiveDrops.min, maximum: limits.additiveDrops.max })),
  additiveInto: Type.Optional(Type.Enum(['the white', 'half of the white', 'every cup'])),
  white: Tint,
  rehearsed: Type.Optional(Rehearsed),
});
/** A tint drawn as a line along a shore, `off` mm out to sea of it, or along a breaker; `lineWidth` wide and `lineHeight` high. */
const ThreadCoat = object({
  ...coat,
  kind: Type.Literal('thread'),
  along: Type.Optional(id()),
  off: Type.Optional(range(limits.reach)),
  lineWidth: range(limits.lineWidth),
  lineHeight: range(limits.lineHeight),
  tint: Tint,
});
export type SealCoat = Static<typeof SealCoat>;
export type BaseCoat = Static<typeof BaseCoat>;
export type SandCoat = Static<typeof SandCoat>;
export type SeaCoat = Static<typeof SeaCoat>;
export type GlazeCoat = Static<typeof GlazeCoat>;
export type ClearCoat = Static<typeof ClearCoat>;
export type TopCoat = Static<typeof TopCoat>;
export type WaveCoat = Static<typeof WaveCoat>;
export type ThreadCoat = Static<typeof ThreadCoat>;
/** A coat whose film is given; a top's follows from its cover, a wave's from its lines and its foam, a thread's from its line. */
export type FilmedCoat = SealCoat | BaseCoat | SandCoat | SeaCoat | GlazeCoat | ClearCoat;
/** A coat that is drawn along a line, and floats in the film of its pour. */
export type LineCoat = WaveCoat | ThreadCoat;
export type Coat = FilmedCoat | TopCoat | LineCoat;
/** Coats stand bottom first. */
export const Coat = tagged<Coat>(SealCoat, BaseCoat, SandCoat, SeaCoat, GlazeCoat, ClearCoat, TopCoat, WaveCoat, ThreadCoat);
