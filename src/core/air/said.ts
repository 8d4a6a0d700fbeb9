import type { Zone } from './zone';

/** A day as an artist reads it, "Sat 28 Nov". @param ms since 1970 */
export function sayDay(ms: number, zone: Zone): string {
  const [day = '', date = '', month = ''] = new Date(`${zone.dayOf(ms)}T00:00Z`).toUTCString().split(/[ ,]+/);
  return `${day} ${Number(date)} ${month}`;
}

/** A moment, "Sat 28 Nov 14:36". */
export const sayMoment = (ms: number, zone: Zone): string => `${sayDay(ms, zone)} ${zone.civil(ms).slice(11)}`;
