import type { AirDay, Colourant, DiaryEntry, Method, Piece, Resin, Room, Settings } from '#core/document';
import type { PourSummary } from '#core/record';

/** How far ahead is planned, days. */
export const HORIZON_DAYS = 90;

/** All that a calendar follows from, as plain data. */
export interface Asked {
  pieces: Piece[];
  summaries: PourSummary[];
  diary: DiaryEntry[];
  resins: Resin[];
  colourants: Colourant[];
  method: Method;
  rooms: Room[];
  /** With the room the studio works in. */
  settings: Settings;
  air: AirDay[];
  /** At the bench, °C. */
  benchC: number;
  /** Civil time of the studio, as "CET". */
  zone: string;
  /** ms since 1970 */
  now: number;
}
