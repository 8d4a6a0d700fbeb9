import type { Studio } from '#core/document';
import { becauseOf, inTheWay, Maker, Planned, sayPieces, sayPromise, saySession } from '#core/calendar';
import { summaryOf } from '#core/record';
import { roomOf, type Asked } from './means';

/** A moment in UTC; a film in a cold room may come to none that a calendar has. */
export const writeMoment = (ms: number): string => (Math.abs(ms) <= 8.64e15 ? new Date(ms).toISOString() : 'not within 60 days');

/** The studio's plan over the days, as its screens have it. */
export function plannedOf(studio: Studio, { planner, zone, now }: Omit<Asked, 'planned'>): Planned {
  const { pieces, pours, diary = [], resins, colourants, method, rooms, settings, air = [] } = studio;
  const asked = {
    pieces,
    summaries: pours.map(summaryOf),
    diary,
    resins,
    colourants,
    method,
    rooms,
    settings,
    air,
    benchC: roomOf(studio).dayC,
    zone: zone.name,
    now,
  };
  return new Planned(asked, new Maker(planner).make(asked));
}

/** What takes the hands when and why, what becomes of each promise, and what stands in the way. */
export function calendarReport(planned: Planned) {
  const { asked, zone, made, calendar } = planned;
  return {
    handsMin: Math.round(calendar.hands),
    sessions: calendar.sessions.map((session) => {
      const because = session.follows ? undefined : becauseOf(planned, session.id);
      return {
        id: session.id,
        does: saySession(session),
        of: sayPieces(session.pieceIds, asked.pieces),
        from: writeMoment(session.from),
        until: writeMoment(session.until),
        ...(session.scuff && { scuffMin: session.scuff }),
        ...(session.place !== undefined && { place: session.place }),
        ...(session.pinned && { held: true }),
        ...(because && { notSooner: because.notSooner, canWait: because.canWait }),
      };
    }),
    promises: calendar.lanes.flatMap(({ name, promise }) =>
      promise
        ? [
            {
              piece: name,
              on: promise.on,
              ...(promise.ready !== undefined && { ready: writeMoment(promise.ready) }),
              stands: sayPromise(promise),
            },
          ]
        : [],
    ),
    standsInTheWay: inTheWay(calendar, asked.pieces, made.room.name, zone),
  };
}
