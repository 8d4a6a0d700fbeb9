import Type, { type Static } from 'typebox';
import { limits } from '../limits';
import { supplies } from '../enums';
import { object, range, from0, id, name, text, moment, tagged, date } from './parts';

/** A level drawn on a cup: what it holds up to there, ml, and how high that is above its floor, mm. */
export const Mark = object({ ml: range(limits.markMl), mm: range(limits.markMm) });
export type Mark = Static<typeof Mark>;

/**
 * A cup of the artist's own, or a small mould that takes what is left over. `step` is between its printed lines, ml;
 * `marks` are levels found by filling it with water on a scale, lowest first.
 */
export const Vessel = object({
  id: id(),
  name: name(),
  use: Type.Enum(['cup', 'mould']),
  holds: range(limits.vessel),
  count: Type.Integer({ minimum: 1, maximum: 999 }),
  step: Type.Optional(range(limits.lines)),
  marks: Type.Optional(Type.Array(Mark, { maxItems: 30 })),
});
export type Vessel = Static<typeof Vessel>;

export const Supply = Type.Enum([...supplies]);
export type Supply = Static<typeof Supply>;

/** What a container holds. */
export type StockOf =
  { kind: 'resin'; resinId: string; part: 'A' | 'B' } | { kind: 'colourant'; colourantId: string } | { kind: 'supply'; supply: Supply };
export const StockOf = tagged<StockOf>(
  object({ kind: Type.Literal('resin'), resinId: id(), part: Type.Enum(['A', 'B']) }),
  object({ kind: Type.Literal('colourant'), colourantId: id() }),
  object({ kind: Type.Literal('supply'), supply: Supply }),
);

/** A correction by hand, in the container's own unit; what it adds is positive. Never changed or taken away. */
export const Correction = object({ at: moment(), by: Type.Number({ minimum: -1e6, maximum: 1e6 }), why: text() });
export type Correction = Static<typeof Correction>;

export const StockUnit = Type.Enum(['g', 'ml', 'm', 'pieces']);
export type StockUnit = Static<typeof StockUnit>;

/**
 * One container on the shelf, of one size and lot. What is left in it is never stored: it is its size, less what
 * finished pours took since `since`, and corrections. `price` is for the whole container; `density` its own, g/ml.
 */
export const Stock = object({
  id: id(),
  name: name(),
  of: StockOf,
  size: range(limits.container),
  unit: StockUnit,
  price: from0(1e6),
  since: date(),
  opened: Type.Optional(date()),
  expires: Type.Optional(date()),
  lot: Type.Optional(Type.String({ maxLength: 60 })),
  density: Type.Optional(range(limits.density)),
  corrections: Type.Optional(Type.Array(Correction, { maxItems: 500 })),
});
export type Stock = Static<typeof Stock>;
