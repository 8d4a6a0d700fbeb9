import Type, { type Static, type TSchema } from 'typebox';
import { limits } from '../limits';
import { Colourant, Method, Resin, Room } from './materials';
import { Found, Outcome } from './outcome';
import { Piece } from './piece';
import { object, range, positive, from0, id, text, moment } from './parts';
import { CupRef, StepRef, Told, ToldBatch, ToldCup, ToldStep } from './told';

const event = { seq: Type.Integer({ minimum: 1, maximum: 100000 }), at: moment() };
const batch = () => Type.Integer({ minimum: 0, maximum: 60 });
const named = () => Type.String({ minLength: 1, maxLength: 400 });
const oldCup = () => Type.String({ minLength: 1, maxLength: 160 });

/** What is put on the scale: a part of the mix, clear filled into a cup, or what goes into it. */
export const Weighed = Type.Enum(['A', 'B', 'fill', 'sand', 'colourant']);
export type Weighed = Static<typeof Weighed>;

/** What became of some of a cup that was not told: on the table, on the board, too thick to lay, into a mould. */
export const CupLost = Type.Enum(['spilled', 'over-poured', 'gone thick', 'moulded']);
export type CupLost = Static<typeof CupLost>;

/** How a thing to see to before the first mixing was met. */
export const Readied = Type.Enum(['seen to', 'passed over']);
export type Readied = Static<typeof Readied>;

/**
 * What happened, by the identity of what was told. `weighed` is one take, which others of the same thing add to; `did` is
 * a step; `bead check` is how far a bead of the mix ran down a tile, mm² of cross-section, degrees, mm, s and °C; `replanned` brings the plan that holds from then on; `undone` takes back the event of that number. The version
 * before wrote `poured`, `white laid` and `tinted`, with its own names of cups; they are kept as they were.
 *
 * At the bench: `ready` is what was seen to before the first mixing; `added` puts steps, with cups and mixings of their own
 * where they have any, before a step or at the end; `skipped` leaves one out, `swapped` puts one before another; `cup lost` is
 * some of a cup that went another way, ml; `bench` is how warm it is there now, °C; `heat on` is when the tool was taken up
 * for the pass that follows; `held` and `went on` when hands were taken off; `refused` a plan that was offered, by its name.
 * `found` is what was measured afterwards, of a piece or of a cup where it is not of the whole pour.
 */
export type PourEvent = { seq: number; at: string } & (
  | { kind: 'mixed'; batch: number; aG?: number; bG?: number }
  | { kind: 'weighed'; batch: number; what: Weighed; cup?: CupRef; colourantId?: string; grams: number }
  | { kind: 'did'; step: StepRef }
  | { kind: 'heat pass' }
  | { kind: 'bead check'; batch: number; area: number; angle: number; run: number; seconds: number; celsius: number }
  | { kind: 'note'; text: string }
  | { kind: 'replanned'; told: Told; why?: string }
  | { kind: 'ready'; items: string[]; as: Readied }
  | { kind: 'added'; steps: ToldStep[]; cups?: ToldCup[]; batches?: ToldBatch[]; before?: StepRef }
  | { kind: 'skipped'; step: StepRef }
  | { kind: 'swapped'; step: StepRef; before: StepRef }
  | { kind: 'cup lost'; cup: CupRef; how: CupLost; ml: number }
  | { kind: 'bench'; celsius: number }
  | { kind: 'heat on' }
  | { kind: 'held' }
  | { kind: 'went on' }
  | { kind: 'refused'; plan: string }
  | { kind: 'found'; what: Found; value: number; piece?: string; cup?: CupRef }
  | { kind: 'abandoned'; why: string }
  | { kind: 'done' }
  | { kind: 'undone'; undoes: number }
  | { kind: 'tinted'; cup: string; colourantId: string; grams: number }
  | { kind: 'poured'; cup: string }
  | { kind: 'white laid'; coatId: string }
);

const kinds: Record<PourEvent['kind'], Record<string, TSchema>> = {
  mixed: { batch: batch(), aG: Type.Optional(positive(100000)), bG: Type.Optional(positive(100000)) },
  weighed: {
    batch: batch(),
    what: Weighed,
    cup: Type.Optional(CupRef),
    colourantId: Type.Optional(id()),
    grams: positive(100000),
  },
  did: { step: StepRef },
  'heat pass': {},
  'bead check': {
    batch: batch(),
    area: range(limits.bead),
    angle: range(limits.beadAngle),
    run: range(limits.beadRun),
    seconds: range(limits.beadSeconds),
    celsius: range(limits.room),
  },
  note: { text: text() },
  replanned: { told: Told, why: Type.Optional(text()) },
  ready: { items: Type.Array(named(), { minItems: 1, maxItems: 200 }), as: Readied },
  added: {
    steps: Type.Array(ToldStep, { minItems: 1, maxItems: 40 }),
    cups: Type.Optional(Type.Array(ToldCup, { maxItems: 20 })),
    batches: Type.Optional(Type.Array(ToldBatch, { maxItems: 4 })),
    before: Type.Optional(StepRef),
  },
  skipped: { step: StepRef },
  swapped: { step: StepRef, before: StepRef },
  'cup lost': { cup: CupRef, how: CupLost, ml: from0(100000) },
  bench: { celsius: range(limits.room) },
  'heat on': {},
  held: {},
  'went on': {},
  refused: { plan: named() },
  found: { what: Found, value: from0(100000), piece: Type.Optional(id()), cup: Type.Optional(CupRef) },
  abandoned: { why: text() },
  done: {},
  undone: { undoes: Type.Integer({ minimum: 1, maximum: 100000 }) },
  tinted: { cup: oldCup(), colourantId: id(), grams: from0(10000) },
  poured: { cup: oldCup() },
  'white laid': { coatId: id() },
};

/** An event of a kind this version knows is checked whole; one of another kind is kept as it is, and read by no one. */
export const PourEvent = Type.Unsafe<PourEvent>({
  type: 'object',
  required: ['seq', 'at', 'kind'],
  properties: { ...event, kind: Type.String({ minLength: 1, maxLength: 40 }) },
  allOf: Object.entries(kinds).map(([kind, fields]) => ({
    if: { type: 'object', required: ['kind'], properties: { kind: { const: kind } } },
    then: object({ ...event, kind: Type.Literal(kind), ...fields }),
  })),
});

export const Verdict = Type.Enum(['make it again', 'change something', 'start over']);
export type Verdict = Static<typeof Verdict>;

/** What a pour was planned from, kept whole beside what it was told: the pieces, the materials, the room and the habits. */
export const Planned = object({
  pieces: Type.Array(Piece, { minItems: 1, maxItems: 12 }),
  resins: Type.Array(Resin),
  colourants: Type.Array(Colourant),
  room: Room,
  method: Method,
});
export type Planned = Static<typeof Planned>;

/** Which coats of a piece a pour lays. */
export const PouredCoats = object({ pieceId: id(), coatIds: Type.Array(id(), { minItems: 1, maxItems: 12 }) });
export type PouredCoats = Static<typeof PouredCoats>;

/** A session at the bench, of one piece or several: what it was planned from, what it was told, and its append-only events. */
export const Pour = object({
  id: id(),
  of: Type.Array(PouredCoats, { minItems: 1, maxItems: 12 }),
  planned: Planned,
  told: Type.Optional(Told),
  startedAt: moment(),
  roomC: range(limits.room),
  events: Type.Array(PourEvent),
  verdict: Type.Optional(Verdict),
  note: Type.Optional(text()),
  outcomes: Type.Optional(Type.Array(Outcome, { maxItems: 12 })),
});
export type Pour = Static<typeof Pour>;
