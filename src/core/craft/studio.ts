import type { Room, Settings, StandIns, Studio } from '#core/document';
import { startingMethod } from './habits';
import { startingColourants, startingResin, startingVessels } from './materials';

const startingRoom: Room = { id: 'room', name: 'the room', dayC: 21, nightC: 17, dayHour: 14, nightHour: 4 };

const startingSettings: Settings = {
  length: 'mm',
  volume: 'ml',
  temperature: '°C',
  measure: 'scale',
  scaleStep: 0.1,
  roomId: startingRoom.id,
};

/** A studio with nothing in it but ordinary materials and habits. */
export const emptyStudio = (): Studio => ({
  format: 'nerite-studio',
  version: 2,
  settings: startingSettings,
  method: startingMethod,
  rooms: [startingRoom],
  resins: [startingResin],
  colourants: startingColourants,
  pieces: [],
  pours: [],
  vessels: startingVessels,
  stock: [],
  slopes: [],
});

/** What stands in for stored things that cannot be read, until the artist gives their own. */
export const standIns: StandIns = {
  settings: startingSettings,
  method: startingMethod,
  room: startingRoom,
  resin: startingResin,
  colourant: startingColourants[0]!,
};
