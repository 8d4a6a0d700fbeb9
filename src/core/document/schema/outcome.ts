import Type, { type Static } from 'typebox';
import { limits } from '../limits';
import { date, id, moment, object, text } from './parts';

/** What of a piece is judged, and how. */
export const Aspect = Type.Enum(['slope', 'lacing', 'reach', 'edges', 'surface', 'level']);
export type Aspect = Static<typeof Aspect>;
export const Judged = Type.Enum(['good', 'fair', 'poor']);
export type Judged = Static<typeof Judged>;

/** What is seen when something went wrong. */
export const Fault = Type.Enum([
  'soft or sticky',
  'white gone pale blue',
  'no cells',
  'lacing took over',
  'wave moved overnight',
  'dark tide mark',
  'pits, fish-eyes',
  'dimples, yellowing, smoke',
  'bubbles from below',
  'muddy band',
  'drips set below',
  'dust, hairs',
  'shells sank',
  'tint ran out',
  'coat peels',
]);
export type Fault = Static<typeof Fault>;

/** How a piece of a pour came out: by aspect, what went wrong and which coats were planned to put it right, and what the next one is to have of it. */
export const Outcome = object({
  pieceId: id(),
  aspects: Type.Optional(
    object({
      slope: Type.Optional(Judged),
      lacing: Type.Optional(Judged),
      reach: Type.Optional(Judged),
      edges: Type.Optional(Judged),
      surface: Type.Optional(Judged),
      level: Type.Optional(Judged),
    }),
  ),
  faults: Type.Optional(
    Type.Array(object({ seen: Fault, rescue: Type.Optional(Type.Array(id(), { minItems: 1, maxItems: 6 })) }), { maxItems: 15 }),
  ),
  lesson: Type.Optional(text()),
});
export type Outcome = Static<typeof Outcome>;

/**
 * What was measured after a pour: drips under a piece, g; what stuck to a cup that was scraped out, g; what was left of all that was
 * mixed, ml; when a piece no longer took a fingerprint, h after A and B met; how far its wave had moved by morning, mm.
 */
export const Found = Type.Enum(['drips', 'stuck', 'left over', 'dry', 'moved']);
export type Found = Static<typeof Found>;

/** A figure of the studio that its own pours can tell. */
export const Figure = Type.Enum([
  'drip rate',
  'cup loss',
  'spare',
  'laying rate',
  'minutes to colour a cup',
  'minutes to lay a cup',
  'minutes of a heat pass',
  'working time',
  'viscosity',
  'white of the foam',
  'white lost',
  'drift',
  'recoat',
  'strength',
  'foam drag',
  'foam born',
  'foam growth',
  'foam wall',
]);
export type Figure = Static<typeof Figure>;

/**
 * A figure that was taken over from the studio's own pours: what it `was`, its `value` and `spread` (half of the range that 19 of 20
 * true ones lie in), from how many pours. `of` is the resin or the colourant it belongs to.
 */
export const Learned = object({
  id: id(),
  figure: Figure,
  of: Type.Optional(id()),
  was: Type.Number({ minimum: 0, maximum: 1e6 }),
  value: Type.Number({ minimum: 0, maximum: 1e6 }),
  spread: Type.Number({ minimum: 0, maximum: 1e6 }),
  pours: Type.Integer({ minimum: 2, maximum: 100000 }),
  at: moment(),
});
export type Learned = Static<typeof Learned>;

/** To whom a piece went, for how much, when; in the studio's currency. */
export const Sold = object({
  to: Type.Optional(Type.String({ minLength: 1, maxLength: 400 })),
  price: Type.Optional(Type.Number({ minimum: 0, maximum: limits.price.max })),
  on: Type.Optional(date()),
});
export type Sold = Static<typeof Sold>;
