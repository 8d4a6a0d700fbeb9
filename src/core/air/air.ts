import type { Room } from '#core/document';
import type { Zone } from './zone';

/** Temperature of the air by minutes after a moment, °C: at the bench, after A and B of a batch have met. */
export type Air = (minute: number) => number;

/** Air that keeps one temperature, °C. */
export const steady =
  (celsius: number): Air =>
  () =>
    celsius;

const DAY = 1440;

/**
 * Air of a room at a minute of the local day, °C: the day's and the night's reading, straight between them.
 * @param minute local minutes since midnight; any whole number of days may be added
 */
export function roomAt(room: Room, minute: number): number {
  const [day, night] = [room.dayHour * 60, room.nightHour * 60];
  if (day === night) return (room.dayC + room.nightC) / 2;
  const since = (from: number, at: number): number => (((at - from) % DAY) + DAY) % DAY;
  const cooling = since(day, night);
  const sinceDay = since(day, minute);
  return sinceDay <= cooling
    ? room.dayC + ((room.nightC - room.dayC) * sinceDay) / cooling
    : room.nightC + ((room.dayC - room.nightC) * (sinceDay - cooling)) / (DAY - cooling);
}

/** Air of a room from a moment on. @param start ms since 1970 */
export const roomAir =
  (room: Room, start: number, zone: Zone): Air =>
  (minute) =>
    roomAt(room, zone.localMinute(start + minute * 60_000));
