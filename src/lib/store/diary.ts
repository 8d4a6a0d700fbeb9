import type { Gives } from '#core/calendar';
import type { Coat, DaySpan, DiaryEntry, Piece } from '#core/document';
import { db } from './db';
import { CALENDAR, changeSettings, editRows, type Row } from './edits';

const put = (row: DiaryEntry): Row => ({ table: 'diary', id: row.id, row });
const takeOff = ({ id }: DiaryEntry): Row => ({ table: 'diary', id, row: null });
const fresh = (): string => `entry-${crypto.randomUUID()}`;

/** The diary as it is stored by now. */
const read = (): Promise<DiaryEntry[]> => db.diary.toArray();
const those = async <K extends DiaryEntry['kind']>(kind: K): Promise<Extract<DiaryEntry, { kind: K }>[]> =>
  (await read()).filter((e): e is Extract<DiaryEntry, { kind: K }> => e.kind === kind);

/** An entry without its id, as it is typed. */
export type NewEntry = { [K in DiaryEntry['kind']]: Omit<Extract<DiaryEntry, { kind: K }>, 'id'> }[DiaryEntry['kind']];

/** Adds an entry, undone with the calendar. */
export const addEntry = (label: string, entry: NewEntry): Promise<void> =>
  editRows(CALENDAR, label, [put({ id: fresh(), ...entry } as DiaryEntry)]);

/** Takes entries off. */
export const removeEntries = (label: string, entries: DiaryEntry[]): Promise<void> => editRows(CALENDAR, label, entries.map(takeOff));

/** The hours of a day of the week. */
export async function setWeekday(weekday: number, spans: DaySpan[]): Promise<void> {
  const old = (await those('hours')).filter((e) => e.weekday === weekday);
  await editRows(CALENDAR, 'Change your hours', [
    ...old.slice(1).map(takeOff),
    put({ id: old[0]?.id ?? `hours-${weekday}`, kind: 'hours', weekday, spans }),
  ]);
}

/** Other hours on one day, none of them to bar it; those of its day of the week again where nothing is given. */
export async function setDay(on: string, spans: DaySpan[] | undefined, label: string): Promise<void> {
  const old = (await those('day')).filter((e) => e.on === on);
  if (!spans) return editRows(CALENDAR, label, old.map(takeOff));
  await editRows(CALENDAR, label, [...old.slice(1).map(takeOff), put({ id: old[0]?.id ?? fresh(), kind: 'day', on, spans })]);
}

const withoutDay = ({ pourAt: _, ...piece }: Piece): Piece => piece;

/**
 * Holds an operation at a moment, or lets it go.
 * @param pieceIds of it: a day that one of them has for its next pour gives way
 */
export async function setPin(operation: string, at: number | undefined, pieceIds: readonly string[], label: string): Promise<void> {
  const old = (await those('pin')).filter((e) => e.operation === operation);
  const planned = (await db.pieces.bulkGet([...pieceIds])).filter((p): p is Piece => p?.pourAt !== undefined);
  await editRows(CALENDAR, label, [
    ...old.map(takeOff),
    ...(at === undefined ? [] : [put({ id: old[0]?.id ?? fresh(), kind: 'pin', operation, at: new Date(at).toISOString() })]),
    ...planned.map((piece): Row => ({ table: 'pieces', id: piece.id, row: withoutDay(piece) })),
  ]);
}

/** Lets go of all that is held of some pieces, and of the days they have for their next pours. */
export async function letGo(pieceIds: readonly string[], label: string): Promise<void> {
  const pins = (await those('pin')).filter((e) => pieceIds.includes(e.operation.split('/')[0]!));
  const planned = (await db.pieces.bulkGet([...pieceIds])).filter((p): p is Piece => p?.pourAt !== undefined);
  await editRows(CALENDAR, label, [
    ...pins.map(takeOff),
    ...planned.map((piece): Row => ({ table: 'pieces', id: piece.id, row: withoutDay(piece) })),
  ]);
}

/** Some works are done, now. @param works as the calendar names them */
export const setDone = (works: readonly string[], at: number, label: string): Promise<void> =>
  editRows(
    CALENDAR,
    label,
    works.map((operation) => put({ id: fresh(), kind: 'did', operation, at: new Date(at).toISOString() })),
  );

/** Pieces that are always poured in one session with another, or by themselves again. */
export async function setTogether(pieceIds: readonly string[], label: string): Promise<void> {
  const old = (await those('together')).filter((e) => e.pieceIds.some((id) => pieceIds.includes(id)));
  const rest = old.flatMap((e): Row[] => {
    const left = e.pieceIds.filter((id) => !pieceIds.includes(id));
    return left.length > 1 ? [put({ ...e, pieceIds: left })] : [takeOff(e)];
  });
  await editRows(CALENDAR, label, [
    ...rest,
    ...(pieceIds.length > 1 ? [put({ id: fresh(), kind: 'together', pieceIds: [...pieceIds] })] : []),
  ]);
}

/** Leaves a piece out of the calendar for now, or plans it again. */
export async function setLeftOut(pieceId: string, out: boolean, label: string): Promise<void> {
  const old = (await those('left out')).filter((e) => e.pieceId === pieceId);
  await editRows(CALENDAR, label, out ? [put({ id: fresh(), kind: 'left out', pieceId })] : old.map(takeOff));
}

/** Fields of a piece that its promise hangs on, undone with the calendar. */
export async function setPromise(
  id: string,
  change: { dueOn?: string | undefined; priority?: number | undefined },
  label: string,
): Promise<void> {
  const piece = await db.pieces.get(id);
  if (!piece) throw new Error('This piece is not in the studio any more; another window may have removed it.');
  const row = Object.fromEntries(Object.entries({ ...piece, ...change }).filter(([, value]) => value !== undefined)) as Piece;
  await editRows(CALENDAR, label, [{ table: 'pieces', id, row, was: piece }], `promise ${id}`);
}

/** Busy times of a calendar file in the place of those it brought before. */
export async function takeBusy(source: string, busy: { from: number; until: number; what: string }[]): Promise<void> {
  const old = (await those('busy')).filter((e) => e.source === source);
  await editRows(CALENDAR, `Bring in ${source}`, [
    ...old.map(takeOff),
    ...busy.map(({ from, until, what }) =>
      put({ id: fresh(), kind: 'busy', from: new Date(from).toISOString(), until: new Date(until).toISOString(), what, source }),
    ),
  ]);
}

/** Keeps what was told, so that the next plan stays near it. It is no edit, and no undo takes it back. */
export function recordAnnounced(sessions: { operation: string; at: number }[]): Promise<void> {
  return db.transaction('rw', db.diary, async () => {
    const old = (await those('announced')) as Extract<DiaryEntry, { kind: 'announced' }>[];
    const wanted = new Map(sessions.map((s) => [s.operation, new Date(s.at).toISOString()]));
    const same = new Set(old.filter((e) => wanted.get(e.operation) === e.at).map((e) => e.operation));
    const gone = old.filter((e) => !same.has(e.operation));
    const next = [...wanted].filter(([operation]) => !same.has(operation));
    if (!gone.length && !next.length) return;
    await db.diary.bulkDelete(gone.map((e) => e.id));
    await db.diary.bulkPut(next.map(([operation, at]): DiaryEntry => ({ id: fresh(), kind: 'announced', operation, at })));
  });
}

const withoutWait = ({ waits: _, ...coat }: Coat): Coat => coat as Coat;

/** What a suggestion gives, as one edit of the calendar. */
export async function take(gives: Gives, label: string): Promise<void> {
  switch (gives.kind) {
    case 'hours':
      return setDay(gives.on, gives.spans, label);
    case 'let go':
      return letGo([gives.pieceId], label);
    case 'later':
      return setPromise(gives.pieceId, { dueOn: gives.dueOn }, label);
    case 'other room':
      return changeSettings({ roomId: gives.roomId });
    case 'room': {
      const room = await db.rooms.get(gives.roomId);
      if (room) await editRows(CALENDAR, label, [{ table: 'rooms', id: room.id, row: { ...room, heating: gives.heating } }]);
      return;
    }
    case 'without coat':
    case 'resin': {
      const piece = await db.pieces.get(gives.pieceId);
      if (!piece) return;
      const coats =
        gives.kind === 'resin'
          ? piece.coats.map((c) => (gives.coatIds.includes(c.id) ? { ...c, resinId: gives.resinId } : c))
          : piece.coats.filter((c) => c.id !== gives.coatId).map((c) => (c.waits?.coatId === gives.coatId ? withoutWait(c) : c));
      await editRows(CALENDAR, label, [{ table: 'pieces', id: piece.id, row: { ...piece, coats }, was: piece }]);
    }
  }
}
