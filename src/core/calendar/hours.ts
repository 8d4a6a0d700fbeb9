import type { Zone } from '#core/air';
import type { DaySpan, DiaryEntry } from '#core/document';

const MINUTE = 60_000;

/** The hours an artist has until they say otherwise: from nine until nine. */
export const startingHours: DaySpan[] = [{ from: 9 * 60, until: 21 * 60 }];

/** Day of the week of a date, Monday 0. @param day "2026-11-25" */
export const weekdayOf = (day: string): number => (new Date(`${day}T00:00Z`).getUTCDay() + 6) % 7;

/** The artist's hours on a day, as the diary has them: those of that day alone, else of its day of the week. */
export function hoursOn(diary: readonly DiaryEntry[], day: string): DaySpan[] {
  const own = diary.findLast((e) => e.kind === 'day' && e.on === day);
  if (own?.kind === 'day') return own.spans;
  const weekday = weekdayOf(day);
  const week = diary.findLast((e) => e.kind === 'hours' && e.weekday === weekday);
  return week?.kind === 'hours' ? week.spans : startingHours;
}

/** A stretch of time, ms since 1970. */
export interface Stretch {
  from: number;
  until: number;
}

/** The moment a minute of a day's clocks comes. @param day "2026-11-25" @param minute 0 to 1440, or into the next day */
export function momentOn(zone: Zone, day: string, minute: number): number {
  const start = zone.momentOf(`${day}T12:00`);
  const shown = new Date(Date.parse(`${zone.dayOf(zone.dayStart(start, Math.floor(minute / 1440)))}T00:00Z`) + (minute % 1440) * MINUTE);
  return zone.momentOf(shown.toISOString().slice(0, 16));
}

/** Days that a stretch touches, "2026-11-25" and on. */
export function daysOf(zone: Zone, from: number, until: number): string[] {
  const days: string[] = [];
  for (let day = zone.dayStart(from, 0); day < until; day = zone.dayStart(day, 1)) days.push(zone.dayOf(day));
  return days;
}

/** When the artist's hours are, and when busy times take from them. */
export function handsIn(diary: readonly DiaryEntry[], zone: Zone, from: number, until: number): { hours: Stretch[]; busy: Stretch[] } {
  const hours = daysOf(zone, from, until).flatMap((day) =>
    hoursOn(diary, day).map((span) => ({ from: momentOn(zone, day, span.from), until: momentOn(zone, day, span.until) })),
  );
  const busy = diary.flatMap((e) => (e.kind === 'busy' ? [{ from: Date.parse(e.from), until: Date.parse(e.until) }] : []));
  return { hours, busy: busy.filter((b) => b.until > from && b.from < until) };
}

/** What is left of the artist's hours once what takes from them is cut out, in order. */
export function freeIn({ hours, busy }: { hours: readonly Stretch[]; busy: readonly Stretch[] }): Stretch[] {
  const cuts = [...busy].sort((a, b) => a.from - b.from);
  return hours.flatMap((own) => {
    const parts: Stretch[] = [];
    let at = own.from;
    for (const cut of cuts) {
      if (cut.until <= at || cut.from >= own.until) continue;
      if (cut.from > at) parts.push({ from: at, until: cut.from });
      at = cut.until;
    }
    if (at < own.until) parts.push({ from: at, until: own.until });
    return parts;
  });
}

/** When no resin may be out in a room. */
export function noResinIn(
  diary: readonly DiaryEntry[],
  zone: Zone,
  roomId: string,
  from: number,
  until: number,
): (Stretch & { what: string })[] {
  return diary.flatMap((entry): (Stretch & { what: string })[] => {
    if (entry.kind !== 'no resin' && entry.kind !== 'no resin weekly') return [];
    if (entry.roomId !== undefined && entry.roomId !== roomId) return [];
    const { what } = entry;
    if (entry.kind === 'no resin') return [{ what, from: Date.parse(entry.from), until: Date.parse(entry.until) }];
    const { span, weekdays } = entry;
    // one that ends before it begins runs on into the next day
    const end = span.until > span.from ? span.until : span.until + 1440;
    return daysOf(zone, from - 86_400_000, until)
      .filter((day) => weekdays.includes(weekdayOf(day)))
      .map((day) => ({ what, from: momentOn(zone, day, span.from), until: momentOn(zone, day, end) }));
  });
}
