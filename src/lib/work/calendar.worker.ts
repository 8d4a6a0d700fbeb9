import { expose } from 'comlink';
import {
  becauseOf,
  beginBy,
  firstDates,
  Maker,
  Planned,
  quickly,
  suggestionsFor,
  type Asked,
  type Because,
  type Calendar,
  type FirstDates,
  type Suggestion,
} from '#core/calendar';
import type { DiaryEntry } from '#core/document';
import { readAsked } from '$lib/store/asked';
import type { Progress } from './task';

/** When and where a calendar is asked for. */
export interface When {
  now: number;
  zone: string;
  /** At the bench, °C; the room's own by day where no thermometer is read. */
  benchC?: number;
}

const maker = new Maker();
let planned: Planned | undefined;
let asked: Asked | undefined;

/** What did not change stays the same object, so that nothing that hangs on it is worked out again. */
function settled<T extends { id: string }>(before: readonly T[] | undefined, now: T[]): T[] {
  if (!before) return now;
  const known = new Map(before.map((row) => [row.id, row]));
  const rows = now.map((row) => {
    const old = known.get(row.id);
    return old && JSON.stringify(old) === JSON.stringify(row) ? old : row;
  });
  return rows.length === before.length && rows.every((row, i) => row === before[i]) ? (before as T[]) : rows;
}

async function ask({ now, zone, benchC }: When): Promise<Asked | undefined> {
  const read = await readAsked();
  if (!read) return undefined;
  const room = read.rooms.find((r) => r.id === read.settings.roomId) ?? read.rooms[0]!;
  return (asked = {
    ...read,
    pieces: settled(asked?.pieces, read.pieces),
    summaries: settled(asked?.summaries, read.summaries),
    resins: settled(asked?.resins, read.resins),
    colourants: settled(asked?.colourants, read.colourants),
    rooms: settled(asked?.rooms, read.rooms),
    air: settled(asked?.air, read.air),
    zone,
    now,
    benchC: benchC ?? room.dayC,
  });
}

/** What the plan at hand told, as the diary will have it: what is tried stays near it. */
const toldBy = (plan: Planned): DiaryEntry[] =>
  plan.calendar.sessions
    .filter((s) => !s.follows)
    .map((s, i) => ({ id: `told-${i}`, kind: 'announced', operation: s.id, at: new Date(s.begins).toISOString() }));

/** A studio in which something is held at a moment instead, which is only tried. */
function holding(all: Asked, operation: string, at: number): Asked {
  const pin: DiaryEntry = { id: 'try', kind: 'pin', operation, at: new Date(at).toISOString() };
  const rest = all.diary.filter((e) => !(e.kind === 'pin' && e.operation === operation) && !(planned && e.kind === 'announced'));
  return { ...all, diary: [...rest, ...(planned ? toldBy(planned) : []), pin] };
}

const work = {
  /** Plans what is stored. */
  async plan(when: When, tell: Progress): Promise<Calendar | undefined> {
    const all = await ask(when);
    if (!all) return undefined;
    planned = new Planned(all, maker.make(all), (share) => tell('Planning the days', share));
    return planned.calendar;
  },
  /** How all would lie with one thing held elsewhere; nothing is kept of it. */
  trial: (operation: string, at: number): Calendar | undefined => asked && quickly(maker, holding(asked, operation, at)).calendar,
  because: (id: string): Because | undefined => planned && becauseOf(planned, id),
  beginBy: (pieceId: string, due: number) => (planned ? beginBy(planned, pieceId, due) : []),
  /** What would have to give for a promise, of the studio as it is stored now. */
  async suggestions(when: When, pieceId: string, tell: Progress): Promise<Suggestion[]> {
    const all = await ask(when);
    if (!all) return [];
    return suggestionsFor(maker, new Planned(all, maker.make(all)), pieceId, (share) => tell('Planning it otherwise', share));
  },
  /** When a piece could be promised for, of the studio as it is stored now. */
  async firstDates(when: When, pieceId: string, tell: Progress): Promise<FirstDates> {
    const all = await ask(when);
    return all ? firstDates(maker, all, pieceId, (share) => tell('Planning it among the others', share)) : {};
  },
};
export type CalendarWork = typeof work;

expose(work);
