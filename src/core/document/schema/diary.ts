import Type, { type Static } from 'typebox';
import { limits } from '../limits';
import { date, id, moment, name, object, tagged } from './parts';

const minuteOfDay = () => Type.Integer({ minimum: 0, maximum: 1440 });
/** From one minute of the local day until another. */
export const DaySpan = object({ from: minuteOfDay(), until: minuteOfDay() });
export type DaySpan = Static<typeof DaySpan>;
const spans = () => Type.Array(DaySpan, { maxItems: 6 });

/** Day of the week, Monday first. */
const weekday = () => Type.Integer({ minimum: 0, maximum: 6 });
/** A piece and what is done to it: "kelp-cove-1/pour-sea". */
const operation = () => Type.String({ pattern: '^[a-z0-9][a-z0-9-]{0,63}/[a-z0-9 -]{1,160}$' });

/**
 * What the calendar goes by beside the pieces. `hours` are the artist's on a day of the week; `day` has other hours on one
 * day, none where it is barred; `busy` is a time away, out of a calendar file where it names its `source`; `no resin` is a time
 * in which nothing may be laid or be tacky, in one room or in all, on one stretch or on days of the week; `pin` holds an
 * operation at a moment; `did` is when one was done; `announced` is when a session was told for; `together` are pieces that are
 * always poured in one session; a piece that is `left out` is not planned yet.
 */
export type DiaryEntry = { id: string } & (
  | { kind: 'hours'; weekday: number; spans: DaySpan[] }
  | { kind: 'day'; on: string; spans: DaySpan[] }
  | { kind: 'busy'; from: string; until: string; what: string; source?: string }
  | { kind: 'no resin'; what: string; roomId?: string; from: string; until: string }
  | { kind: 'no resin weekly'; what: string; roomId?: string; weekdays: number[]; span: DaySpan }
  | { kind: 'pin'; operation: string; at: string }
  | { kind: 'did'; operation: string; at: string }
  | { kind: 'announced'; operation: string; at: string }
  | { kind: 'together'; pieceIds: string[] }
  | { kind: 'left out'; pieceId: string }
);
export const DiaryEntry = tagged<DiaryEntry>(
  object({ id: id(), kind: Type.Literal('hours'), weekday: weekday(), spans: spans() }),
  object({ id: id(), kind: Type.Literal('day'), on: date(), spans: spans() }),
  object({ id: id(), kind: Type.Literal('busy'), from: moment(), until: moment(), what: name(), source: Type.Optional(name()) }),
  object({
    id: id(),
    kind: Type.Literal('no resin'),
    what: name(),
    roomId: Type.Optional(id()),
    from: moment(),
    until: moment(),
  }),
  object({
    id: id(),
    kind: Type.Literal('no resin weekly'),
    what: name(),
    roomId: Type.Optional(id()),
    weekdays: Type.Array(weekday(), { minItems: 1, maxItems: 7 }),
    span: DaySpan,
  }),
  object({ id: id(), kind: Type.Literal('pin'), operation: operation(), at: moment() }),
  object({ id: id(), kind: Type.Literal('did'), operation: operation(), at: moment() }),
  object({ id: id(), kind: Type.Literal('announced'), operation: operation(), at: moment() }),
  object({
    id: id(),
    kind: Type.Literal('together'),
    pieceIds: Type.Array(id(), { minItems: 2, maxItems: limits.together.max }),
  }),
  object({ id: id(), kind: Type.Literal('left out'), pieceId: id() }),
);
