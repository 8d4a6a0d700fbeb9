import ical, { ICalAlarmType, ICalCalendarMethod, ICalEventTransparency } from 'ical-generator';
import { sayPieces, saySession, type Calendar } from '#core/calendar';
import type { Piece } from '#core/document';

const MINUTE = 60_000;

/**
 * A calendar as an iCalendar file (RFC 5545): sessions with an alarm before them, the window of each film as free time, and what
 * is promised on its day. Ids are those of what is done, so that bringing it in again brings what is there up to date.
 * @param alarm min before a session; 0 for none
 */
export function writeCalendar({ sessions, lanes, now }: Calendar, pieces: readonly Pick<Piece, 'id' | 'name'>[], alarm: number): string {
  const file = ical({ name: 'Nerite', method: ICalCalendarMethod.PUBLISH, prodId: { company: 'Nerite', product: 'Nerite' } });
  const stamp = new Date(now);
  // later files say so, by the minute
  const sequence = Math.max(0, Math.floor(now / MINUTE) - 29_000_000);
  const uid = (id: string): string => `${id.replaceAll('/', '-')}@nerite`;
  for (const session of sessions) {
    const event = file.createEvent({
      id: uid(session.id),
      stamp,
      sequence,
      start: new Date(session.from),
      end: new Date(session.until),
      summary: `${sayPieces(session.pieceIds, pieces)}: ${saySession(session)}`,
      ...(session.scuff && { description: `Scuff and wipe first, ${session.scuff} min.` }),
      ...(session.place !== undefined && { location: session.place }),
    });
    if (alarm > 0 && !session.follows) event.createAlarm({ type: ICalAlarmType.display, triggerBefore: alarm * 60, description: 'Nerite' });
  }
  for (const { pieceId, name, stretches, promise } of lanes) {
    stretches
      .filter((s) => s.doing === 'recoat' && s.until > now && Number.isFinite(s.until))
      .forEach((s, i) =>
        file.createEvent({
          id: uid(`${pieceId}/window-${i + 1}`),
          stamp,
          sequence,
          start: new Date(s.from),
          end: new Date(s.until),
          summary: `${name}: open for the next coat`,
          transparency: ICalEventTransparency.TRANSPARENT,
        }),
      );
    if (promise)
      file.createEvent({
        id: uid(`${pieceId}/promised`),
        stamp,
        sequence,
        start: new Date(`${promise.on}T00:00:00Z`),
        allDay: true,
        summary: `${name}: promised`,
        transparency: ICalEventTransparency.TRANSPARENT,
      });
  }
  return file.toString();
}
