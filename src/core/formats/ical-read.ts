import ICAL from 'ical.js';
import { Zone } from '#core/air';

const DAY = 86_400_000;
/** How far ahead busy times are taken, days; how many of them; and how often a rule without end is followed at the most. */
const [AHEAD, MOST, STEPS] = [180, 2000, 20_000] as const;
/** Characters of a file, more than a calendar of a life has. */
const LARGEST = 30_000_000;

/** A time at which hands are elsewhere, ms since 1970. */
export interface BusyTime {
  from: number;
  until: number;
  what: string;
}

export type BusyReading = { ok: true; name: string; busy: BusyTime[]; notes: string[] } | { ok: false; says: string };

/** What times of a file are told by. */
class Times {
  readonly unknown = new Set<string>();
  readonly #zones = new Map<string, Zone | undefined>();

  constructor(readonly own: Zone) {}

  #named(tzid: string): Zone | undefined {
    if (!this.#zones.has(tzid)) {
      let zone: Zone | undefined;
      try {
        zone = new Zone(tzid);
      } catch {
        zone = undefined;
      }
      this.#zones.set(tzid, zone);
    }
    return this.#zones.get(tzid);
  }

  /** A time of the file as a moment: by the zone's own name where it is known, else by the file's rules for it. */
  moment(time: ICAL.Time, tzid: string | undefined): number {
    const { year, month, day, hour, minute, second, isDate, zone } = time;
    const two = (n: number): string => String(n).padStart(2, '0');
    const civil = `${String(year).padStart(4, '0')}-${two(month)}-${two(day)}T${isDate ? '00:00' : `${two(hour)}:${two(minute)}`}`;
    if (isDate) return this.own.momentOf(civil);
    if (zone === ICAL.Timezone.utcTimezone || tzid === 'UTC') return Date.UTC(year, month - 1, day, hour, minute, second);
    if (tzid === undefined) return this.own.momentOf(civil);
    const known = this.#named(tzid);
    if (known) return known.momentOf(civil);
    if (zone && zone !== ICAL.Timezone.localTimezone && zone.component) return time.toUnixTime() * 1000;
    this.unknown.add(tzid);
    return this.own.momentOf(civil);
  }
}

const tzidOf = (component: ICAL.Component, property: string): string | undefined => {
  const value = component.getFirstProperty(property)?.getParameter('tzid');
  return typeof value === 'string' ? value : undefined;
};
const textOf = (component: ICAL.Component, property: string): string => String(component.getFirstPropertyValue(property) ?? '').trim();

/** Whether an event takes time: one that was called off, or is marked as free, does not. */
const takesTime = (component: ICAL.Component): boolean =>
  textOf(component, 'status').toUpperCase() !== 'CANCELLED' && textOf(component, 'transp').toUpperCase() !== 'TRANSPARENT';

/** What an event takes of a stretch, each time it comes. */
function occurrences(component: ICAL.Component, exceptions: ICAL.Component[], times: Times, from: number, until: number): BusyTime[] {
  const event = new ICAL.Event(component, { exceptions, strictExceptions: false });
  const what = (item: ICAL.Component): string => (textOf(item, 'summary') || 'busy').slice(0, 80);
  const zone = tzidOf(component, 'dtstart');
  const take = (item: ICAL.Component, start: ICAL.Time, end: ICAL.Time): BusyTime[] => {
    const [own, ends] = [tzidOf(item, 'dtstart') ?? zone, tzidOf(item, 'dtend') ?? tzidOf(item, 'dtstart') ?? zone];
    const begins = times.moment(start, own);
    // a day without an end is that day
    const stops = Math.max(times.moment(end, ends), start.isDate ? begins + DAY - 3_600_000 : begins);
    return stops > begins && stops > from && begins < until && takesTime(item) ? [{ from: begins, until: stops, what: what(item) }] : [];
  };
  if (!event.isRecurring()) return event.startDate ? take(component, event.startDate, event.endDate) : [];
  const found: BusyTime[] = [];
  const all = event.iterator();
  for (let step = 0; step < STEPS && found.length < MOST; step++) {
    const next = all.next() as ICAL.Time | null | undefined;
    if (!next || times.moment(next, zone) >= until) break;
    const { item, startDate, endDate } = event.getOccurrenceDetails(next);
    found.push(...take(item.component, startDate, endDate));
  }
  return found;
}

/**
 * Reads busy times out of a calendar file (iCalendar, RFC 5545): events with their recurrences and the days that differ, whole
 * days, times of other zones; those called off or marked as free are left out.
 * @param zone of the studio, for times without one
 * @param now  ms since 1970; what is past is left out, and what is more than 180 days ahead
 */
export function readBusy(text: string, zone: Zone, now: number): BusyReading {
  if (text.length > LARGEST) return { ok: false, says: `This file is larger than ${LARGEST / 1e6} MB. Export the next months alone.` };
  if (!/^\s*BEGIN:VCALENDAR/i.test(text.replace(/^\uFEFF/, '')))
    return { ok: false, says: 'This is no calendar file. Choose one that ends in .ics and begins with BEGIN:VCALENDAR.' };
  let calendars: ICAL.Component[];
  try {
    const parsed = ICAL.parse(text.replace(/^\uFEFF/, '')) as unknown[];
    calendars = (typeof parsed[0] === 'string' ? [parsed] : parsed).map((c) => new ICAL.Component(c as never));
  } catch (error) {
    return {
      ok: false,
      says: `This calendar file cannot be read: ${(error as Error).message.slice(0, 120)}. Export it again where it comes from.`,
    };
  }
  const times = new Times(zone);
  const until = now + AHEAD * DAY;
  const busy: BusyTime[] = [];
  let broken = 0;
  for (const calendar of calendars) {
    for (const tz of calendar.getAllSubcomponents('vtimezone')) {
      try {
        ICAL.TimezoneService.register(tz);
      } catch {
        // a zone without rules is one nobody knows
      }
    }
    const events = calendar.getAllSubcomponents('vevent');
    const alone = events.filter((e) => !e.hasProperty('recurrence-id'));
    const differing = events.filter((e) => e.hasProperty('recurrence-id'));
    for (const event of alone) {
      const uid = textOf(event, 'uid');
      try {
        busy.push(...occurrences(event, uid ? differing.filter((d) => textOf(d, 'uid') === uid) : [], times, now, until));
      } catch {
        broken++;
      }
    }
  }
  busy.sort((a, b) => a.from - b.from || a.until - b.until);
  const name = calendars.map((c) => textOf(c, 'x-wr-calname')).find((n) => n) ?? '';
  const zones = [...times.unknown];
  return {
    ok: true,
    name: name.slice(0, 80),
    busy: busy.slice(0, MOST),
    notes: [
      ...(zones.length
        ? [
            `No one knows the zone ${zones
              .slice(0, 3)
              .map((z) => `“${z.slice(0, 40)}”`)
              .join(', ')}: its times are taken as your own.`,
          ]
        : []),
      ...(broken
        ? [`${broken === 1 ? 'One event' : `${broken} events`} could not be read and ${broken === 1 ? 'is' : 'are'} left out.`]
        : []),
      ...(busy.length > MOST ? [`Only the first ${MOST} times are taken.`] : []),
    ],
  };
}
