import Type, { type Static } from 'typebox';
import { limits } from '../limits';
import { Colourant, Method, Resin, Room } from './materials';
import { Piece } from './piece';
import { object, range, positive, from0, id, text, moment, tagged } from './parts';

const event = { seq: Type.Integer({ minimum: 1, maximum: 100000 }), at: moment() };
/**
 * `cup` names a cup of the plan the pour was started from; `tinted` is what was weighed into it; `undone` takes back the
 * event of that number.
 */
export type PourEvent = { seq: number; at: string } & (
  | { kind: 'mixed'; batch: number; aG?: number; bG?: number }
  | { kind: 'tinted'; cup: string; colourantId: string; grams: number }
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
    batch: Type.Integer({ minimum: 0, maximum: 60 }),
    aG: Type.Optional(positive(100000)),
    bG: Type.Optional(positive(100000)),
  }),
  object({
    ...event,
    kind: Type.Literal('tinted'),
    cup: Type.String({ minLength: 1, maxLength: 160 }),
    colourantId: id(),
    grams: from0(10000),
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
