import Type, { type Static } from 'typebox';
import { limits } from '../limits';
import { object, range, from0, colour, id, name } from './parts';
import { AirTool } from './rehearsed';
import { DressingKind } from './sea';
import { StockUnit, Supply } from './shelf';

/** What a cup is for. A `line` is the clear laid under the white, or over it. */
export const CupRole = Type.Enum([
  'seal',
  'base',
  'sand',
  'gravel',
  'bed',
  'tint',
  'glaze',
  'thread',
  'line',
  'white',
  'clear',
  'top',
  'dressing',
  'holes',
]);
export type CupRole = Static<typeof CupRole>;

const cup = {
  piece: id(),
  coat: id(),
  role: CupRole,
  tint: Type.Optional(Type.Integer({ minimum: 0, maximum: 7 })),
  portion: Type.Optional(Type.Integer({ minimum: 1, maximum: 60 })),
};
/**
 * Which cup: the piece and the coat it is first laid on, what for, of a sea which tint from the deep side, and of one that
 * was divided which portion, from 1.
 */
export const CupRef = object(cup);
export type CupRef = Static<typeof CupRef>;

/**
 * What the hands do in a step. The last four are asked for at the bench: tint over a white that is too much, a push back from
 * the sea, a tilt of the board, a stir of a cup that stood.
 */
export const StepKind = Type.Enum([
  'mix',
  'thin',
  'pour',
  'press',
  'strew',
  'additive',
  'line',
  'white',
  'rest',
  'flick',
  'heat',
  'dress',
  'sides',
  'cover',
  'peel',
  'tint over',
  'push',
  'tilt',
  'stir',
]);
export type StepKind = Static<typeof StepKind>;

/**
 * Which step: what is done, to which coat of which piece, with which cup; which mixing, which pass, which kind of dressing;
 * of one that was asked for at the bench which time.
 */
export const StepRef = object({
  does: StepKind,
  piece: Type.Optional(id()),
  coat: Type.Optional(id()),
  role: Type.Optional(CupRole),
  tint: Type.Optional(Type.Integer({ minimum: 0, maximum: 7 })),
  portion: Type.Optional(Type.Integer({ minimum: 1, maximum: 60 })),
  batch: Type.Optional(Type.Integer({ minimum: 0, maximum: 60 })),
  pass: Type.Optional(Type.Integer({ minimum: 1, maximum: 12 })),
  dressing: Type.Optional(DressingKind),
  again: Type.Optional(Type.Integer({ minimum: 1, maximum: 1000 })),
});
export type StepRef = Static<typeof StepRef>;

const ml = () => from0(100000);
const grams = () => from0(200000);
const minute = () => from0(100000);
const span = () => object({ from: minute(), until: minute() });

/** Like boards of one piece, and what one of them gets, ml. */
export const ToldBoards = object({ piece: id(), name: name(), count: Type.Integer({ minimum: 1, maximum: limits.count.max }), ml: ml() });
export type ToldBoards = Static<typeof ToldBoards>;

/** Some of a cup as a step uses it, ml that leave it, and how that is shared out over boards. */
export const ToldUse = object({ cup: CupRef, ml: ml(), boards: Type.Array(ToldBoards) });
export type ToldUse = Static<typeof ToldUse>;

/** A wave as a step sees it: where it breaks, what lies under its white, how it is drawn and moved. Lengths in mm. */
export const ToldWave = object({
  along: Type.Enum(['shore', 'island', 'sea', 'mid-board']),
  /** Name of the curve it breaks along, where that is not a shore. */
  line: Type.Optional(name()),
  under: Type.Enum(['barrier', 'gap', 'none', 'white first']),
  heat: Type.Enum(['hot air', 'torch then air', 'air then torch', 'hair dryer']),
  lines: Type.Integer({ minimum: 1, maximum: 8 }),
  lineWidth: from0(60),
  beach: Type.Boolean(),
  /** As its white was laid when it was rehearsed: ml of one board, how far out to sea of its line, or along one that was drawn. */
  rehearsed: Type.Optional(object({ ml: ml(), off: Type.Optional(range(limits.lineOff)), drawn: Type.Optional(Type.Boolean()) })),
});
export type ToldWave = Static<typeof ToldWave>;

/** A thread as a step sees it: along which line, how wide, and how far off it out to sea, mm. */
export const ToldThread = object({
  along: Type.Enum(['shore', 'island', 'sea', 'mid-board']),
  line: Type.Optional(name()),
  lineWidth: from0(60),
  off: from0(300),
});
export type ToldThread = Static<typeof ToldThread>;

/** A colourant thinned in clear before cups are coloured with it: its grams, in drops where it is counted, and the clear, ml. */
export const ToldThinned = object({
  colourantId: id(),
  name: name(),
  letDown: Type.Integer({ minimum: 1, maximum: 99 }),
  grams: from0(100000),
  count: Type.Optional(Type.Integer({ minimum: 1, maximum: 1000 })),
  clearMl: ml(),
});
export type ToldThinned = Static<typeof ToldThinned>;

/**
 * One thing to do at the bench, as it was told. `at` is the planned minute it is done, `mixedAt` the planned minute of its
 * batch, both from the first meeting of A and B. All else is what its words are made of: the coat with its film, mm, and
 * the area of one board, mm²; the name of the `place` it is laid at, a sky or a land; the cup its edge is drawn `into`; a `gap` left bare for the white, mm; whether sand still
 * lies `loose`; whether the edge `drips`; `grams` of sand or gravel for all boards; how many `minutes` it waits;
 * what is put together to `thin` colourants.
 */
export const ToldStep = object({
  id: StepRef,
  at: minute(),
  batch: Type.Integer({ minimum: 0, maximum: 60 }),
  mixedAt: minute(),
  uses: Type.Array(ToldUse),
  boards: Type.Array(Type.Omit(ToldBoards, ['ml'], { additionalProperties: false })),
  coat: Type.Optional(
    object({ name: name(), kind: Type.Enum(['seal', 'base', 'sand', 'sea', 'wave', 'thread', 'glaze', 'clear', 'top']), film: from0(100) }),
  ),
  over: Type.Optional(Type.Enum(['whole', 'sea', 'beach', 'area', 'deep', 'strip'])),
  place: Type.Optional(name()),
  area: Type.Optional(from0(1e8)),
  into: Type.Optional(name()),
  gap: Type.Optional(from0(500)),
  wave: Type.Optional(ToldWave),
  thread: Type.Optional(ToldThread),
  passes: Type.Optional(Type.Integer({ minimum: 0, maximum: 12 })),
  loose: Type.Optional(Type.Boolean()),
  drips: Type.Optional(Type.Boolean()),
  grams: Type.Optional(grams()),
  count: Type.Optional(Type.Integer({ minimum: 1, maximum: 3000 })),
  minutes: Type.Optional(minute()),
  thin: Type.Optional(Type.Array(ToldThinned, { maxItems: 40 })),
  additive: Type.Optional(
    object({ name: name(), drops: Type.Integer({ minimum: 1, maximum: 20 }), part: Type.Enum(['all', 'half', 'every']) }),
  ),
  /** A pass as it was rehearsed: its tool, how far off it is held where that was chosen, its strokes and how long they take on one board, s, after a wait. */
  air: Type.Optional(
    object({
      tool: AirTool,
      distance: Type.Optional(range(limits.toolDistance)),
      strokes: Type.Integer({ minimum: 1, maximum: limits.strokes.max }),
      seconds: from0(100000),
      wait: from0(limits.passWait.max),
    }),
  ),
  /** How a board is tilted: degrees, how far its film runs, mm, and seconds until it has, and as far back. */
  tilt: Type.Optional(object({ degrees: from0(45), travel: from0(500), seconds: from0(3600), back: from0(3600) })),
});
export type ToldStep = Static<typeof ToldStep>;

/** What goes into a cup of one colourant: grams and the volume of that, or counted drops, of a let-down of one part to so many of clear. */
export const ToldDose = object({
  colourantId: id(),
  name: name(),
  grams: grams(),
  ml: Type.Optional(ml()),
  count: Type.Optional(Type.Integer({ minimum: 0, maximum: 100000 })),
  letDown: Type.Optional(Type.Integer({ minimum: 1, maximum: 99 })),
});
export type ToldDose = Static<typeof ToldDose>;

/**
 * A cup as it was told: A + B in it by volume and weight, what must leave it, what is over what the boards need, and what
 * goes into it. `was` is what events of the version before call it.
 */
export const ToldCup = object({
  id: CupRef,
  was: Type.Optional(Type.String({ minLength: 1, maxLength: 160 })),
  batch: Type.Integer({ minimum: 0, maximum: 60 }),
  name: name(),
  ml: ml(),
  needed: ml(),
  over: ml(),
  aG: grams(),
  bG: grams(),
  sandG: grams(),
  /** Whether the sand is pressed in on the board, and not stirred in. */
  pressed: Type.Optional(Type.Boolean()),
  /** Whether it is gravel and not sand. */
  gravel: Type.Optional(Type.Boolean()),
  doses: Type.Array(ToldDose),
  additive: Type.Optional(object({ name: name(), drops: Type.Integer({ minimum: 1, maximum: 20 }) })),
  colour: Type.Optional(colour()),
});
export type ToldCup = Static<typeof ToldCup>;

/** One mixing as it was told, and its windows in minutes after A and B meet. `at` is when it is mixed. */
export const ToldBatch = object({
  resinId: id(),
  resin: name(),
  at: minute(),
  stirMin: minute(),
  ml: ml(),
  aMl: ml(),
  bMl: ml(),
  aG: grams(),
  bG: grams(),
  white: Type.Optional(span()),
  whiteBest: Type.Optional(span()),
  lastMoves: span(),
  heatUntil: minute(),
  /** Of the bottles, °C, where they are not as warm as the room; and whether it is mixed in a wide tub, so that it stays cool. */
  bottlesC: Type.Optional(Type.Number({ minimum: -20, maximum: limits.bottles.max })),
  wide: Type.Optional(Type.Boolean()),
  /** The white's own cup, ml, and how much thicker it is than clear. */
  whiteCup: Type.Optional(object({ ml: ml(), multiplier: from0(1000) })),
});
export type ToldBatch = Static<typeof ToldBatch>;

/** What the boards of a piece take beside what is mixed: primer, tape, dressings, loose sand. */
export const ToldSupply = object({ piece: id(), supply: Supply, amount: from0(1e6), unit: StockUnit });
export type ToldSupply = Static<typeof ToldSupply>;

/** All that a pour was told when it began, or when it was planned anew. It is never planned again. */
export const Told = object({
  roomC: range(limits.room),
  coats: Type.Array(object({ piece: id(), coat: id(), number: Type.Integer({ minimum: 1, maximum: 12 }), name: name() })),
  batches: Type.Array(ToldBatch, { maxItems: 60 }),
  cups: Type.Array(ToldCup, { maxItems: 400 }),
  steps: Type.Array(ToldStep, { maxItems: 1000 }),
  supplies: Type.Array(ToldSupply),
});
export type Told = Static<typeof Told>;
