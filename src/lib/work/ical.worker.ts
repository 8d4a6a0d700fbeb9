import { expose } from 'comlink';
import { Zone } from '#core/air';
import { readBusy, writeCalendar, type BusyReading } from '#core/formats';
import type { Calendar } from '#core/calendar';

const work = {
  read: (text: string, zone: string, now: number): BusyReading => readBusy(text, new Zone(zone), now),
  write: (calendar: Calendar, pieces: { id: string; name: string }[], alarm: number): string => writeCalendar(calendar, pieces, alarm),
};
export type IcalWork = typeof work;

expose(work);
