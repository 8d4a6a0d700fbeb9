import type { Calendar } from '#core/calendar';
import type { BusyReading } from '#core/formats';
import type { IcalWork } from './ical.worker';
import { task, type Task } from './task';

const make = (): Worker => new Worker(new URL('./ical.worker.ts', import.meta.url), { type: 'module' });

/** Reads busy times out of a calendar file, which may be large. */
export const readBusyFile = (text: string, zone: string, now: number): Task<BusyReading> =>
  task<IcalWork, BusyReading>(make, (work) => work.read(text, zone, now));

/** A calendar as a file. @param alarm min before each session */
export const calendarFile = (calendar: Calendar, pieces: { id: string; name: string }[], alarm: number): Task<string> =>
  task<IcalWork, string>(make, (work) => work.write(calendar, pieces, alarm));
