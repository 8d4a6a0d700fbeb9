import type { Room, Settings, StandIns } from '#core/document';
import { startingMethod } from './habits';
import { startingColourant, startingResin } from './materials';

export const startingRoom: Room = { id: 'room', name: 'the room', dayC: 21, nightC: 17, dayHour: 14, nightHour: 4 };

export const startingSettings: Settings = {
  length: 'mm',
  volume: 'ml',
  temperature: '°C',
  measure: 'scale',
  scaleStep: 0.1,
  roomId: startingRoom.id,
};

/** What stands in for stored things that cannot be read, until the artist gives their own. */
export const standIns: StandIns = {
  settings: startingSettings,
  method: startingMethod,
  room: startingRoom,
  resin: startingResin,
  colourant: startingColourant,
};
