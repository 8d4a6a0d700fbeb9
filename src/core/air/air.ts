import type { Room } from '#core/document';

/**
 * Temperature of the air by minutes after a moment, °C: at the bench, after A and B of a batch have met. Air that keeps one
 * temperature says which.
 */
export interface Air {
  (minute: number): number;
  readonly steady?: number;
}

/** Air that keeps one temperature, °C. */
export const steady = (celsius: number): Air => Object.assign(() => celsius, { steady: celsius });

/** The same air, so many kelvin warmer. */
export const warmer = (air: Air, kelvin: number): Air =>
  air.steady === undefined ? (minute) => air(minute) + kelvin : steady(air.steady + kelvin);

const DAY = 1440;
/** A room takes so long to warm up, and to cool down again, when its heating is turned, min. */
const TURNS = 60;

const since = (from: number, at: number): number => (((at - from) % DAY) + DAY) % DAY;

/** The day's and the night's reading, straight between them. */
function unheated(room: Room, minute: number): number {
  const [day, night] = [room.dayHour * 60, room.nightHour * 60];
  if (day === night) return (room.dayC + room.nightC) / 2;
  const cooling = since(day, night);
  const sinceDay = since(day, minute);
  return sinceDay <= cooling
    ? room.dayC + ((room.nightC - room.dayC) * sinceDay) / cooling
    : room.nightC + ((room.dayC - room.nightC) * (sinceDay - cooling)) / (DAY - cooling);
}

/** How much of what heating gives is there at a minute of the day, 0 to 1. */
function heated({ from, until }: NonNullable<Room['heating']>, minute: number): number {
  const on = from === until ? DAY : since(from * 60, until * 60);
  const passed = since(from * 60, minute);
  if (on === DAY) return 1;
  return passed <= on ? Math.min(1, passed / TURNS) : Math.max(0, Math.min(1, on / TURNS) - (passed - on) / TURNS);
}

/**
 * Air of a room at a minute of the local day, °C, as it usually is: the day's and the night's reading, straight between
 * them, and no colder than its heating keeps it from one hour until another.
 * @param minute local minutes since midnight; any whole number of days may be added
 */
export function roomAt(room: Room, minute: number): number {
  const own = unheated(room, minute);
  const { heating } = room;
  return heating && heating.celsius > own ? own + (heating.celsius - own) * heated(heating, minute) : own;
}
