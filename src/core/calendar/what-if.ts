import { sayDay } from '#core/air';
import { writesIn } from '#core/units';
import type { Coat, DaySpan, DiaryEntry, Piece, Resin, Room } from '#core/document';
import type { Asked } from './asked';
import { Planned } from './calendar';
import { hoursOn } from './hours';
import { upper } from './said';
import { Maker } from './problem';

const DAY = 86_400_000;

/** What would have to give, as it would be stored. */
export type Gives =
  | { kind: 'hours'; on: string; spans: DaySpan[] }
  | { kind: 'room'; roomId: string; heating: NonNullable<Room['heating']> }
  | { kind: 'other room'; roomId: string }
  | { kind: 'without coat'; pieceId: string; coatId: string }
  | { kind: 'resin'; pieceId: string; resinId: string; coatIds: string[] }
  | { kind: 'let go'; pieceId: string }
  | { kind: 'later'; pieceId: string; dueOn: string };

/** Something that was really planned otherwise: what gives, and when the piece is ready then. */
export interface Suggestion {
  gives: Gives;
  says: string;
  /** ms since 1970; undefined where it would have no plan even so. */
  ready?: number;
  kept: boolean;
  /** Other promises that would no longer be kept, by their pieces. */
  breaks: string[];
}

/** Rounds of the search for what is only suggested. */
const QUICK = 40;

/** A plan of a studio that is only looked at: a quicker search, the same rules. */
export function quickly(maker: Maker, asked: Asked): Planned {
  const made = maker.make(asked);
  return new Planned(asked, { ...made, problem: { ...made.problem, effort: Math.min(made.problem.effort, QUICK) } });
}

const changed = (asked: Asked, pieceId: string, change: (piece: Piece) => Piece): Asked => ({
  ...asked,
  pieces: asked.pieces.map((p) => (p.id === pieceId ? change(p) : p)),
});

/** Hours of a day with one more at its end, or before its beginning where it is late already. */
function oneMore(spans: DaySpan[]): DaySpan[] {
  const sorted = [...spans].sort((a, b) => a.from - b.from);
  const [first, last] = [sorted[0], sorted.at(-1)];
  if (!first || !last) return [{ from: 10 * 60, until: 13 * 60 }];
  return last.until <= 22 * 60
    ? [...sorted.slice(0, -1), { ...last, until: last.until + 60 }]
    : [{ ...first, from: Math.max(0, first.from - 60) }, ...sorted.slice(1)];
}

/** Coats a piece could do without: a glaze, or a clear coat that is not its last. */
const spared = ({ coats }: Piece): Piece['coats'] =>
  coats.filter((c, i) => !c.lies && (c.kind === 'glaze' || (c.kind === 'clear' && i < coats.length - 1)));

/** A resin of the studio that is hard sooner than the one a piece has for most of its coats. */
function quicker(asked: Asked, piece: Piece): Resin[] {
  const own = asked.resins.filter((r) => piece.coats.some((c) => !c.lies && c.resinId === r.id));
  const slowest = own.sort((a, b) => b.fullCureH - a.fullCureH)[0];
  return slowest
    ? asked.resins
        .filter((r) => r.fullCureH < slowest.fullCureH)
        .sort((a, b) => a.fullCureH - b.fullCureH)
        .slice(0, 1)
    : [];
}

/** All that might help a promise, each as the studio it would be. */
function* ways(asked: Asked, piece: Piece, planned: Planned): Generator<{ gives: Gives; says: string; asked: Asked }> {
  const { zone, made } = planned;
  const write = writesIn(asked.settings);
  const days = Array.from({ length: 7 }, (_, i) => zone.dayOf(zone.dayStart(asked.now, i + 1)));
  for (const on of days) {
    const spans = oneMore(hoursOn(asked.diary, on));
    const entry: DiaryEntry = { id: `try-${on}`, kind: 'day', on, spans };
    yield {
      gives: { kind: 'hours', on, spans },
      says: `${hoursOn(asked.diary, on).length ? 'An hour more' : 'Three hours'} on ${sayDay(zone.momentOf(`${on}T12:00`), zone)}`,
      asked: { ...asked, diary: [...asked.diary.filter((e) => !(e.kind === 'day' && e.on === on)), entry] },
    };
  }
  const own = made.made.find((m) => m.standings.some((s) => s.piece.id === piece.id));
  if (own?.job.operations.some((o) => o.pin !== undefined)) {
    const ids = new Set(own.about.map((a) => a.id));
    yield {
      gives: { kind: 'let go', pieceId: piece.id },
      says: 'Let go of where you hold it',
      asked: {
        ...changed(asked, piece.id, withoutDay),
        diary: asked.diary.filter((e) => e.kind !== 'pin' || !ids.has(e.operation)),
      },
    };
  }
  const { room } = made;
  const celsius = Math.min(26, Math.round(Math.max(room.dayC, room.heating?.celsius ?? 0)) + 2);
  const heating = { celsius, from: 0, until: 0 };
  yield {
    gives: { kind: 'room', roomId: room.id, heating },
    says: `${upper(room.name)} kept at ${write.temperature(celsius)} day and night`,
    asked: { ...asked, rooms: asked.rooms.map((r) => (r.id === room.id ? { ...r, heating } : r)) },
  };
  for (const other of asked.rooms.filter((r) => r.id !== room.id && r.dayC + r.nightC > room.dayC + room.nightC).slice(0, 1))
    yield {
      gives: { kind: 'other room', roomId: other.id },
      says: `All of it in ${other.name}`,
      asked: { ...asked, settings: { ...asked.settings, roomId: other.id } },
    };
  for (const coat of spared(piece).slice(0, 2))
    yield {
      gives: { kind: 'without coat', pieceId: piece.id, coatId: coat.id },
      says: coat.kind === 'glaze' ? 'One glaze fewer' : 'One clear coat fewer',
      asked: changed(asked, piece.id, (p) => ({
        ...p,
        coats: p.coats.filter((c) => c.id !== coat.id).map((c) => (c.waits?.coatId === coat.id ? withoutWait(c) : c)),
      })),
    };
  for (const resin of quicker(asked, piece)) {
    const coatIds = piece.coats.filter((c) => !c.lies && c.resinId !== resin.id).map((c) => c.id);
    yield {
      gives: { kind: 'resin', pieceId: piece.id, resinId: resin.id, coatIds },
      says: `${resin.name} for its coats`,
      asked: changed(asked, piece.id, (p) => ({
        ...p,
        coats: p.coats.map((c) => (coatIds.includes(c.id) ? { ...c, resinId: resin.id } : c)),
      })),
    };
  }
}

const withoutWait = ({ waits: _, ...rest }: Coat): Coat => rest as Coat;
const withoutDay = ({ pourAt: _, ...rest }: Piece): Piece => rest;

const readyOf = (planned: Planned, pieceId: string): number | undefined => planned.calendar.lanes.find((l) => l.pieceId === pieceId)?.ready;

/**
 * What would have to give for a promise, each really planned: those that help, the soonest first, and a later date that holds.
 * @param tell is told how far it has come, 0 to 1
 */
export function suggestionsFor(
  maker: Maker,
  planned: Planned,
  pieceId: string,
  tell: (share: number) => void = () => undefined,
): Suggestion[] {
  const { asked, zone } = planned;
  const piece = asked.pieces.find((p) => p.id === pieceId);
  const lane = planned.calendar.lanes.find((l) => l.pieceId === pieceId);
  if (!piece?.dueOn || !lane?.promise) return [];
  const { due, ready } = lane.promise;
  const keptNow = new Set(planned.calendar.lanes.flatMap((l) => (l.promise?.kept ? [l.pieceId] : [])));
  const all = [...ways(asked, piece, planned)];
  const found = all.map(({ gives, says, asked: other }, i): Suggestion => {
    tell(i / all.length);
    const then = quickly(maker, other);
    const at = readyOf(then, pieceId);
    const breaks = then.calendar.lanes
      .filter((l) => l.pieceId !== pieceId && keptNow.has(l.pieceId) && l.promise && !l.promise.kept)
      .map((l) => l.pieceId);
    return { gives, says, ...(at !== undefined && { ready: at }), kept: at !== undefined && at <= due, breaks };
  });
  const helps = found.filter((s) => s.ready !== undefined && (ready === undefined || s.ready < ready));
  helps.sort((a, b) => Number(b.kept) - Number(a.kept) || a.breaks.length - b.breaks.length || a.ready! - b.ready!);
  // of hours on several days the best two are enough
  const hours = helps.filter((s) => s.gives.kind === 'hours').slice(0, 2);
  const chosen = helps.filter((s) => s.gives.kind !== 'hours' || hours.includes(s)).slice(0, 5);
  if (ready === undefined) return chosen;
  const later = zone.dayOf(ready);
  return [
    ...chosen,
    { gives: { kind: 'later', pieceId, dueOn: later }, says: `Promise it for ${sayDay(ready, zone)}`, ready, kept: true, breaks: [] },
  ];
}

/** First dates a piece can be promised for: as it would be, and with the rooms 2 °C colder; moments in ms since 1970. */
export interface FirstDates {
  /** All others left alone. */
  alone?: number;
  aloneCold?: number;
  /** Others moved, none of their promises broken that would be kept. */
  moved?: number;
  movedCold?: number;
}

const colder = (asked: Asked): Asked => ({
  ...asked,
  benchC: asked.benchC - 2,
  rooms: asked.rooms.map((r) => ({
    ...r,
    dayC: Math.max(5, r.dayC - 2),
    nightC: Math.max(5, r.nightC - 2),
    ...(r.heating && { heating: { ...r.heating, celsius: Math.max(5, r.heating.celsius - 2) } }),
  })),
});

/** A piece planned among others that are all held where they are. */
function withOthersHeld(maker: Maker, asked: Asked, pieceId: string): number | undefined {
  const without = quickly(maker, { ...asked, diary: [...asked.diary, { id: 'try-out', kind: 'left out', pieceId }] });
  const pins = without.calendar.sessions
    .filter((s) => !s.follows)
    .map((s, i): DiaryEntry => ({ id: `try-${i}`, kind: 'pin', operation: s.id, at: new Date(s.begins).toISOString() }));
  const others = new Set(pins.map((p) => (p.kind === 'pin' ? p.operation : '')));
  const diary = [
    ...asked.diary.filter((e) => !(e.kind === 'pin' && others.has(e.operation)) && !(e.kind === 'left out' && e.pieceId === pieceId)),
    ...pins,
  ];
  return readyOf(quickly(maker, { ...asked, diary }), pieceId);
}

/** A piece planned as the one most wanted, others keeping what they can. */
function withOthersMoved(maker: Maker, asked: Asked, pieceId: string): number | undefined {
  const zone = maker.make(asked).zone;
  const urgent = { ...asked, diary: asked.diary.filter((e) => !(e.kind === 'left out' && e.pieceId === pieceId)) };
  // wanted by tomorrow, and weighing least: whatever else is promised goes before it
  const wanted = changed(urgent, pieceId, (p) => ({ ...p, dueOn: zone.dayOf(asked.now + DAY), priority: 1 }));
  const heavy = { ...wanted, pieces: wanted.pieces.map((p) => (p.id === pieceId ? p : { ...p, priority: 5 })) };
  return readyOf(quickly(maker, heavy), pieceId);
}

/** When a piece could be promised for, at the soonest. */
export function firstDates(maker: Maker, asked: Asked, pieceId: string, tell: (share: number) => void = () => undefined): FirstDates {
  // a piece that is promised nothing yet is handed over all the same
  const due = changed(asked, pieceId, (p) => ({ ...p, dueOn: p.dueOn ?? '2199-12-31' }));
  const cold = colder(due);
  const steps = [
    () => withOthersHeld(maker, due, pieceId),
    () => withOthersHeld(maker, cold, pieceId),
    () => withOthersMoved(maker, due, pieceId),
    () => withOthersMoved(maker, cold, pieceId),
  ];
  const [alone, aloneCold, moved, movedCold] = steps.map((step, i) => {
    tell(i / steps.length);
    return step();
  });
  const later = (a: number | undefined, b: number | undefined): number | undefined =>
    a === undefined || b === undefined ? undefined : Math.max(a, b);
  const sooner = (a: number | undefined, b: number | undefined): number | undefined =>
    a === undefined || b === undefined ? (a ?? b) : Math.min(a, b);
  // moved there is no later than left alone; and a colder room, in which others move too, is no help
  const ends = { alone, moved: sooner(moved, alone) };
  const colds = { aloneCold: later(alone, aloneCold), movedCold: later(ends.moved, sooner(movedCold, aloneCold)) };
  return Object.fromEntries(Object.entries({ ...ends, ...colds }).filter(([, at]) => at !== undefined));
}
