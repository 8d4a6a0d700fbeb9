import type { Room, Studio } from '#core/document';
import type { Means } from '#core/plan';

/** The room the studio works in. */
export const roomOf = (studio: Studio): Room => studio.rooms.find((room) => room.id === studio.settings.roomId) ?? studio.rooms[0]!;

/** What pieces are planned with, by day in that room. */
export const meansOf = (studio: Studio): Means => ({
  resins: studio.resins,
  colourants: studio.colourants,
  method: studio.method,
  roomC: roomOf(studio).dayC,
  scaleStep: studio.settings.scaleStep,
});
