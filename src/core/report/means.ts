import { steady, type Zone } from '#core/air';
import type { Room, Studio } from '#core/document';
import type { Planned } from '#core/calendar';
import type { Means, Planner } from '#core/plan';

/** The room the studio works in. */
export const roomOf = (studio: Studio): Room => studio.rooms.find((room) => room.id === studio.settings.roomId) ?? studio.rooms[0]!;

/** What pieces are planned with, by day in that room. */
export const meansOf = (studio: Studio): Means => ({
  resins: studio.resins,
  colourants: studio.colourants,
  method: studio.method,
  air: steady(roomOf(studio).dayC),
  scaleStep: studio.settings.scaleStep,
});

/** When and where a report is asked for, and the planner that its plans come from. */
export interface Asked {
  /** ms since 1970 */
  now: number;
  zone: Zone;
  planner: Planner;
  /** The plan over the days, made once for all that is reported; without it a piece’s days are those of what lies. */
  planned?: Planned;
}
