import type { Room } from '#core/document';

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

/** Air of a room by minutes after a moment. @param offsetMin local time ahead of UTC, min */
export const airAfter =
  (room: Room, startMs: number, offsetMin: number) =>
  (min: number): number =>
    roomAt(room, startMs / 60_000 + offsetMin + min);
