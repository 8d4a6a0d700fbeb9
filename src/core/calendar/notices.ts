import type { Zone } from '#core/air';
import type { DaySpan } from '#core/document';
import type { Standing } from '#core/record';
import type { Calendar } from './calendar';
import { sayDue, sayPromise, saySession, sayWhen } from './said';

const [MINUTE, HOUR] = [60_000, 3_600_000];
/** A window is told of for so long after it opened, and for so long before it closes; a session so long before it, ms. */
const [OPENED, CLOSES, BEGINS] = [6 * HOUR, 2 * HOUR, 15 * MINUTE] as const;

/** Something to be told, once. */
export interface Notice {
  /** The same for the same thing, however its minute moves. */
  key: string;
  says: string;
  why: string;
  href: string;
}

/** What was told already, what is put off until when, ms since 1970, and the hours in which nothing is told. */
export interface Told {
  told: Record<string, number>;
  putOff: Record<string, number>;
  done: Record<string, number>;
  quiet?: DaySpan;
  /** Whether the system tells it too. */
  system?: boolean;
}

/** All that there is to tell now. */
export function noticesAt(calendar: Calendar, standings: readonly Standing[], now: number, zone: Zone): Notice[] {
  const windows = standings.flatMap(({ piece, next, curing, pours, open }): Notice[] => {
    const last = pours.findLast((p) => p.done !== undefined);
    if (!next || !curing || !last || open || now < curing.recoatFrom || now >= curing.bondUntil) return [];
    const until = sayWhen(curing.bondUntil, now, zone);
    const closes = curing.bondUntil - now <= CLOSES;
    if (!closes && now - curing.recoatFrom > OPENED) return [];
    return [
      {
        key: `${closes ? 'closes' : 'opens'}/${last.id}/${piece.id}`,
        says: closes ? `${piece.name} takes a coat until ${until}` : `${piece.name} is open for its next coat, until ${until}`,
        why: closes ? 'Later it must be scuffed and wiped first.' : 'It bonds by itself until then.',
        href: `/pieces/${piece.id}`,
      },
    ];
  });
  const promises = calendar.lanes.flatMap(({ name, promise }): Notice[] =>
    promise && !promise.kept
      ? [
          {
            key: `slips/${promise.pieceId}/${promise.on}`,
            says: `${name} is not ready by ${sayDue(promise, now, zone)}: ${sayPromise(promise)}`,
            why: 'The calendar says what would have to give.',
            href: `/calendar?promise=${promise.pieceId}`,
          },
        ]
      : [],
  );
  const begins = calendar.sessions
    .filter((s) => s.kind === 'pour' && s.from - now <= BEGINS && s.from > now - BEGINS)
    .map((s): Notice => ({
      key: `begins/${s.id}/${zone.dayOf(s.from)}`,
      says: `${saySession(s)}, at ${sayWhen(s.from, now, zone)}`,
      why: 'Room, bottles and cover ready.',
      href: `/pieces/${s.pieceIds[0]}`,
    }));
  return [...windows, ...promises, ...begins];
}

/** Whether a moment lies in hours of the day that may run over midnight. */
export function isQuiet(quiet: DaySpan | undefined, now: number, zone: Zone): boolean {
  if (!quiet || quiet.from === quiet.until) return false;
  const minute = ((zone.localMinute(now) % 1440) + 1440) % 1440;
  return quiet.from < quiet.until ? minute >= quiet.from && minute < quiet.until : minute >= quiet.from || minute < quiet.until;
}

/** What of it is shown: not what was seen to or put off, and nothing in quiet hours. */
export const shownOf = (all: readonly Notice[], { done, putOff, quiet }: Told, now: number, zone: Zone): Notice[] =>
  isQuiet(quiet, now, zone) ? [] : all.filter(({ key }) => done[key] === undefined && (putOff[key] ?? 0) <= now);
