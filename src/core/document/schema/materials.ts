import Type, { type Static } from 'typebox';
import { limits } from '../limits';
import { object, range, from0, id, name, hourOfDay, rgb, date } from './parts';

/**
 * Times are equivalent ages at `refC`. Working and gel time are stated for `statedG` of mix left in a cup, g, 100 where it
 * is left out; 0 where they are those of a film. `loadLimit` is colourant over A + B, by weight or by volume.
 */
export const Resin = object({
  id: id(),
  name: name(),
  ratio: object({ a: range(limits.part), b: range(limits.part), by: Type.Enum(['volume', 'weight']) }),
  densityA: range(limits.resinDensity),
  densityB: range(limits.resinDensity),
  refC: range(limits.room),
  lowestC: range(limits.room),
  viscosity: range(limits.viscosity),
  stirMin: range(limits.stir),
  workingMin: range(limits.working),
  gelMin: range(limits.gel),
  statedG: Type.Optional(from0(limits.statedMass.max)),
  recoatFromH: range(limits.recoat),
  bondUntilH: range(limits.bond),
  handleH: range(limits.handle),
  fullCureH: range(limits.fullCure),
  /** Film its maker states for one coat, mm. */
  film: Type.Optional(range(limits.film)),
  /** Most its maker allows in one pour, mm. */
  mostFilm: Type.Optional(range(limits.mostFilm)),
  /** When its viscosity was measured here, by a bead; until then it is the data sheet's. */
  measuredOn: Type.Optional(date()),
  loadLimit: range(limits.mostLoad),
  loadLimitBy: Type.Enum(['weight', 'volume']),
});
export type Resin = Static<typeof Resin>;

/**
 * `absorb` and `scatter` are Kubelka–Munk k and s per mm at load 1, for linear red, green and blue. Without `dropMl` it
 * is measured by weight. `solids` is the share of its volume that is solid, which thickens the mix. `limit` is its own
 * maker's, over A + B by weight; left out, only the resin's holds.
 */
export const Colourant = object({
  id: id(),
  name: name(),
  kind: Type.Enum(['liquid pigment', 'alcohol ink', 'water-based', 'paste', 'mica powder', 'metal flake', 'dry pigment']),
  density: range(limits.colourantDensity),
  solids: from0(0.6),
  dropMl: Type.Optional(range(limits.drop)),
  limit: Type.Optional(range(limits.mostLoad)),
  absorb: rgb(100000),
  scatter: rgb(100000),
  /** Its k and s were taken from how it looks, and not measured. */
  byEye: Type.Optional(Type.Boolean()),
});
export type Colourant = Static<typeof Colourant>;

/** Where a board may lie and cure: what it takes, mm, and whether it is covered against dust. */
export const Place = object({
  id: id(),
  name: name(),
  length: range(limits.placeSide),
  width: range(limits.placeSide),
  covered: Type.Boolean(),
});
export type Place = Static<typeof Place>;

export const Room = object({
  id: id(),
  name: name(),
  dayC: range(limits.room),
  nightC: range(limits.room),
  /** Local hours at which the day's and the night's temperature are read; between them it runs straight. */
  dayHour: hourOfDay(),
  nightHour: hourOfDay(),
  /** Relative humidity by day. */
  humidity: Type.Optional(range(limits.humidity)),
  /** From one local hour until another it is kept no colder. */
  heating: Type.Optional(object({ celsius: range(limits.room), from: hourOfDay(), until: hourOfDay() })),
  places: Type.Optional(Type.Array(Place, { maxItems: 30 })),
});
export type Room = Static<typeof Room>;

/** What a thermometer showed: minutes after the beginning of its day in UTC, °C, relative humidity. */
export const AirReading = object({
  min: Type.Number({ minimum: 0, exclusiveMaximum: 1440 }),
  celsius: range(limits.reading),
  humidity: Type.Optional(range(limits.humidity)),
});
export type AirReading = Static<typeof AirReading>;

/** Readings of one room on one day, in order of time. */
export const AirDay = object({
  id: Type.String({ pattern: '^[a-z0-9][a-z0-9-]{0,79}$' }),
  roomId: id(),
  day: date(),
  readings: Type.Array(AirReading, { minItems: 1, maxItems: 1440 }),
});
export type AirDay = Static<typeof AirDay>;

const hours = () => from0(limits.preparation.max / 60);
/** Hours each step of preparation takes, its wait included. */
export const Drying = object({
  sand: hours(),
  scuff: hours(),
  gesso: hours(),
  paint: hours(),
  sealer: hours(),
  relief: hours(),
  foil: hours(),
  painted: hours(),
  glue: hours(),
  doubling: hours(),
  mask: hours(),
});
export type Drying = Static<typeof Drying>;

/**
 * What the studio's own boards say of its rehearsals, beside the figures that were set by eye: how hard its air moves white,
 * how many cells are born, Pa/mm², how fast they grow, mm·Pa, and the wall they leave between them, mm.
 */
export const FoamHabits = object({
  drag: Type.Optional(range(limits.foamDrag)),
  born: Type.Optional(range(limits.foamBorn)),
  grow: Type.Optional(range(limits.foamGrow)),
  wall: Type.Optional(range(limits.foamWall)),
});
export type FoamHabits = Static<typeof FoamHabits>;

/**
 * The studio's habits: what the amounts and the windows rest on. `heldBack` is the part of every tint kept for
 * corrections, none where it is left out; `runOff` is what becomes of what drips, lost where it is left out; without
 * `batches` each resin of a pour is mixed at once. A batch is not split under `smallestMix`, g, nor a session into more
 * than `mostMixings`; no cup is under `smallestCup`, ml, none of white under `smallestWhite`; white is `whiteFactor` times
 * what its reach or its line takes; cups are laid at `layMlPerMin`. Where one of these is left out it asks for nothing.
 */
export const Method = object({
  spare: range(limits.spare),
  sideFilm: from0(5),
  dripPerM: range(limits.drip),
  cupStays: from0(20),
  cupShare: from0(0.5),
  foamFilm: range(limits.foamFilm),
  foamOpen: from0(0.95),
  activationEa: range(limits.activation),
  activationEmu: range(limits.activation),
  thickening: range(limits.thickening),
  whitePaste: Type.Number({ minimum: 1, maximum: 10 }),
  whiteReady: range(limits.whiteReady),
  whiteLimit: range(limits.whiteLimit),
  colourMinPerCup: from0(30),
  layMinPerCup: from0(60),
  heatMinPerPass: from0(30),
  drying: Type.Optional(Type.Partial(Drying)),
  heldBack: Type.Optional(range(limits.spare)),
  runOff: Type.Optional(Type.Enum(['lost', 'caught', 'painted up'])),
  batches: Type.Optional(Type.Enum(['split when needed', 'one a resin'])),
  smallestMix: Type.Optional(range(limits.smallestMix)),
  mostMixings: Type.Optional(Type.Integer({ minimum: limits.mixings.min, maximum: limits.mixings.max })),
  smallestCup: Type.Optional(range(limits.smallestCup)),
  smallestWhite: Type.Optional(range(limits.smallestCup)),
  whiteFactor: Type.Optional(range(limits.whiteFactor)),
  layMlPerMin: Type.Optional(range(limits.layRate)),
  /** What is done where a cup wants too little of a colourant to count or to weigh: it is thinned, unless only whole drops are wanted. */
  fewDrops: Type.Optional(Type.Enum(['thinned', 'whole drops'])),
  /** What bottles are warmed to before they are mixed, °C; as warm as the room where it is left out. */
  bottlesC: Type.Optional(range(limits.bottles)),
  /** How long one place feels a pass of heat, s, and how hot its skin gets, °C. */
  heatSeconds: Type.Optional(range(limits.heatSeconds)),
  heatC: Type.Optional(range(limits.heatC)),
  /** How far a wave may have moved by morning, mm. */
  driftMm: Type.Optional(range(limits.drift)),
  /** How far waves go here beside what the model says; as far where it is left out. */
  drifts: Type.Optional(range(limits.drifts)),
  foam: Type.Optional(FoamHabits),
});
export type Method = Static<typeof Method>;

/** What a price follows from: an hour's pay, shares of 1, and minutes of work a pour takes beside the pour itself. */
export const Pricing = object({
  currency: Type.String({ minLength: 1, maxLength: 6 }),
  hourRate: from0(10000),
  overhead: from0(5),
  margin: Type.Number({ minimum: 0, maximum: limits.margin.max }),
  setUpMin: from0(600),
  cleanUpMin: from0(600),
});
export type Pricing = Static<typeof Pricing>;

export const Settings = object({
  length: Type.Enum(['mm', 'cm', 'in']),
  volume: Type.Enum(['ml', 'fl oz']),
  temperature: Type.Enum(['°C', '°F']),
  /** Grams where it is left out. */
  weight: Type.Optional(Type.Enum(['g', 'oz wt'])),
  measure: Type.Enum(['scale', 'marked cups']),
  scaleStep: range(limits.scaleStep),
  roomId: id(),
  pricing: Type.Optional(Pricing),
});
export type Settings = Static<typeof Settings>;
