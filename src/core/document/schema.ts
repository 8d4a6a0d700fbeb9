import Type, { type Static, type TSchema } from 'typebox';
import { limits } from './limits';

/**
 * The studio document, version 1: lengths in mm, volumes in ml, weights in g, temperatures in °C,
 * shares as fractions of 1, times as ISO 8601 in UTC. What can be computed is never stored.
 */

const object = <T extends Record<string, TSchema>>(properties: T) => Type.Object(properties, { additionalProperties: false });
const range = ({ min, max }: { min: number; max: number }) => Type.Number({ minimum: min, maximum: max });
const positive = (maximum: number) => Type.Number({ exclusiveMinimum: 0, maximum });
const from0 = (maximum: number) => Type.Number({ minimum: 0, maximum });
const id = () => Type.String({ pattern: '^[a-z0-9][a-z0-9-]{0,63}$' });
const name = () => Type.String({ minLength: 1, maxLength: 80 });
const text = () => Type.String({ maxLength: 4000 });
const moment = () => Type.String({ format: 'date-time' });
const coordinate = () => Type.Number({ minimum: -6000, maximum: 6000 });
const hourOfDay = () => Type.Integer({ minimum: 0, maximum: 23 });
const rgb = (maximum: number) => Type.Tuple([from0(maximum), from0(maximum), from0(maximum)]);
const tagged = <T>(...kinds: TSchema[]) => Type.Unsafe<T>({ type: 'object', discriminator: { propertyName: 'kind' }, oneOf: kinds });

export const Point = object({ x: coordinate(), y: coordinate() });
export type Point = Static<typeof Point>;

const Rectangle = object({ kind: Type.Literal('rectangle'), width: range(limits.side), height: range(limits.side) });
const Round = object({ kind: Type.Literal('round'), diameter: range(limits.side) });
const Oval = object({ kind: Type.Literal('oval'), width: range(limits.side), height: range(limits.side) });
export type Shape = Static<typeof Rectangle> | Static<typeof Round> | Static<typeof Oval>;
export const Shape = tagged<Shape>(Rectangle, Round, Oval);

/** A round hole kept open, by its centre. */
export const Hole = object({ x: coordinate(), y: coordinate(), diameter: positive(500) });
export type Hole = Static<typeof Hole>;

export const Material = Type.Enum(['raw wood', 'varnished wood', 'mdf', 'slate', 'glass']);
export type Material = Static<typeof Material>;
export const Primer = Type.Enum(['none', 'gesso', 'clear sealer', 'scuff only']);
export type Primer = Static<typeof Primer>;
export const Surface = object({ material: Material, primer: Primer, primerCoats: Type.Integer({ minimum: 0, maximum: 9 }) });
export type Surface = Static<typeof Surface>;

/** How the resin ends at the rim. */
export const Edge = Type.Enum(['run over', 'taped', 'dammed', 'wall']);
export type Edge = Static<typeof Edge>;
export const Use = Type.Enum(['wall', 'food', 'hot mugs']);
export type Use = Static<typeof Use>;

const curve = () => Type.Array(Point, { minItems: 2, maxItems: 60 });

/**
 * The sea drawn on the board, origin at the upper left of its bounds, y downward. Curves run from left to right;
 * `edges` part one tint from the next, from the shore seaward.
 */
export const Sea = object({ side: Type.Enum(['far', 'near']), shoreline: curve(), edges: Type.Array(curve(), { maxItems: 7 }) });
export type Sea = Static<typeof Sea>;

/** A colourant and its share of A + B by weight. */
export const Part = object({ colourantId: id(), load: range(limits.load) });
export type Part = Static<typeof Part>;
export const Tint = object({ name: name(), recipe: Type.Array(Part, { maxItems: 6 }) });
export type Tint = Static<typeof Tint>;

const coat = { id: id(), resinId: id(), samePour: Type.Boolean() };
const SandCoat = object({ ...coat, kind: Type.Literal('sand'), film: range(limits.film), sandPerResin: from0(3) });
/** Tints from deep to shore, one for each part of the sea. */
const SeaCoat = object({
  ...coat,
  kind: Type.Literal('sea'),
  film: range(limits.film),
  tints: Type.Array(Tint, { minItems: 1, maxItems: 8 }),
});
const GlazeCoat = object({ ...coat, kind: Type.Literal('glaze'), film: range(limits.film), tint: Tint });
const ClearCoat = object({ ...coat, kind: Type.Literal('clear'), film: range(limits.film) });
/** Barrier of clear along the shoreline with white on it, pushed by heat; `layAt` is minutes after mixing. */
const WaveCoat = object({
  ...coat,
  kind: Type.Literal('wave'),
  lineWidth: positive(60),
  lineHeight: positive(10),
  reachSea: range(limits.reach),
  reachUp: range(limits.reach),
  layAt: range(limits.minute),
  passes: Type.Integer({ minimum: 0, maximum: 12 }),
  white: Tint,
});
export type SandCoat = Static<typeof SandCoat>;
export type SeaCoat = Static<typeof SeaCoat>;
export type GlazeCoat = Static<typeof GlazeCoat>;
export type ClearCoat = Static<typeof ClearCoat>;
export type WaveCoat = Static<typeof WaveCoat>;
export type Coat = SandCoat | SeaCoat | GlazeCoat | ClearCoat | WaveCoat;
/** Coats stand bottom first; `samePour` joins a coat to the one below it. */
export const Coat = tagged<Coat>(SandCoat, SeaCoat, GlazeCoat, ClearCoat, WaveCoat);

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
  sea: Sea,
  coats: Type.Array(Coat, { maxItems: 12 }),
  pourAt: Type.Optional(moment()),
  dueOn: Type.Optional(Type.String({ format: 'date' })),
});
export type Piece = Static<typeof Piece>;

/** Times are equivalent ages of the film at `refC`; `loadLimit` is colourant over A + B, by weight or by volume. */
export const Resin = object({
  id: id(),
  name: name(),
  ratio: object({ a: positive(100), b: positive(100), by: Type.Enum(['volume', 'weight']) }),
  densityA: Type.Number({ minimum: 0.5, maximum: 3 }),
  densityB: Type.Number({ minimum: 0.5, maximum: 3 }),
  refC: range(limits.room),
  lowestC: range(limits.room),
  viscosity: positive(100),
  stirMin: positive(30),
  workingMin: positive(600),
  gelMin: positive(6000),
  recoatFromH: positive(240),
  bondUntilH: positive(480),
  handleH: positive(480),
  fullCureH: positive(2000),
  loadLimit: Type.Number({ exclusiveMinimum: 0, maximum: limits.load.max }),
  loadLimitBy: Type.Enum(['weight', 'volume']),
});
export type Resin = Static<typeof Resin>;

/**
 * `absorb` and `scatter` are Kubelka–Munk k and s per mm at load 1, for linear red, green and blue. Without `dropMl` it
 * is measured by weight. `solids` is the share of its volume that is solid, which thickens the mix.
 */
export const Colourant = object({
  id: id(),
  name: name(),
  kind: Type.Enum(['liquid pigment', 'alcohol ink', 'water-based', 'paste']),
  density: Type.Number({ minimum: 0.5, maximum: 5 }),
  solids: from0(0.6),
  dropMl: Type.Optional(positive(1)),
  absorb: rgb(100000),
  scatter: rgb(100000),
});
export type Colourant = Static<typeof Colourant>;

export const Room = object({
  id: id(),
  name: name(),
  dayC: range(limits.room),
  nightC: range(limits.room),
  /** Local hours at which the day's and the night's temperature are read; between them it runs straight. */
  dayHour: hourOfDay(),
  nightHour: hourOfDay(),
});
export type Room = Static<typeof Room>;

/** The studio's habits: what the amounts and the windows rest on. */
export const Method = object({
  spare: range(limits.spare),
  sideFilm: from0(5),
  dripPerM: range(limits.drip),
  cupStays: from0(20),
  cupShare: from0(0.5),
  foamFilm: positive(5),
  foamOpen: from0(0.95),
  activationEa: positive(200),
  activationEmu: positive(200),
  thickening: Type.Number({ exclusiveMinimum: 1, maximum: 100 }),
  whitePaste: Type.Number({ minimum: 1, maximum: 10 }),
  whiteReady: positive(100),
  whiteLimit: positive(1000),
  colourMinPerCup: from0(30),
  layMinPerCup: from0(60),
  heatMinPerPass: from0(30),
});
export type Method = Static<typeof Method>;

export const Settings = object({
  length: Type.Enum(['mm', 'cm', 'in']),
  volume: Type.Enum(['ml', 'fl oz']),
  temperature: Type.Enum(['°C', '°F']),
  measure: Type.Enum(['scale', 'marked cups']),
  scaleStep: range(limits.scaleStep),
  roomId: id(),
});
export type Settings = Static<typeof Settings>;

const event = { seq: Type.Integer({ minimum: 1, maximum: 100000 }), at: moment() };
/** `cup` and `step` name a step of the plan the pour was started from; `undone` takes back the event of that number. */
export type PourEvent = { seq: number; at: string } & (
  | { kind: 'mixed'; batch: number; aG?: number; bG?: number }
  | { kind: 'poured'; cup: string }
  | { kind: 'white laid'; coatId: string }
  | { kind: 'heat pass' }
  | { kind: 'note'; text: string }
  | { kind: 'done' }
  | { kind: 'undone'; undoes: number }
);
export const PourEvent = tagged<PourEvent>(
  object({
    ...event,
    kind: Type.Literal('mixed'),
    batch: Type.Integer({ minimum: 0, maximum: 20 }),
    aG: Type.Optional(positive(100000)),
    bG: Type.Optional(positive(100000)),
  }),
  object({ ...event, kind: Type.Literal('poured'), cup: Type.String({ minLength: 1, maxLength: 160 }) }),
  object({ ...event, kind: Type.Literal('white laid'), coatId: id() }),
  object({ ...event, kind: Type.Literal('heat pass') }),
  object({ ...event, kind: Type.Literal('note'), text: text() }),
  object({ ...event, kind: Type.Literal('done') }),
  object({ ...event, kind: Type.Literal('undone'), undoes: Type.Integer({ minimum: 1, maximum: 100000 }) }),
);

export const Verdict = Type.Enum(['make it again', 'change something', 'start over']);
export type Verdict = Static<typeof Verdict>;

/** What a pour was planned from, kept whole so that later edits of the piece cannot change the record. */
export const Planned = object({
  piece: Piece,
  resins: Type.Array(Resin),
  colourants: Type.Array(Colourant),
  room: Room,
  method: Method,
});
export type Planned = Static<typeof Planned>;

/** A session at the bench: the inputs it was planned from and its append-only events. */
export const Pour = object({
  id: id(),
  pieceId: id(),
  coatIds: Type.Array(id(), { minItems: 1, maxItems: 12 }),
  planned: Planned,
  startedAt: moment(),
  roomC: range(limits.room),
  events: Type.Array(PourEvent),
  verdict: Type.Optional(Verdict),
  note: Type.Optional(text()),
});
export type Pour = Static<typeof Pour>;

export const Studio = Type.Object(
  {
    format: Type.Literal('nerite-studio'),
    version: Type.Literal(1),
    settings: Settings,
    method: Method,
    rooms: Type.Array(Room, { minItems: 1 }),
    resins: Type.Array(Resin),
    colourants: Type.Array(Colourant),
    pieces: Type.Array(Piece),
    pours: Type.Array(Pour),
  },
  { $id: 'nerite-studio-1', title: 'Nerite studio document, version 1', additionalProperties: false },
);
export type Studio = Static<typeof Studio>;
