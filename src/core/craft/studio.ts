import type { Studio } from '#core/document';
import { startingMethod } from './habits';
import { startingResin, startingVessels } from './materials';
import { startingColourants } from './palette';
import { startingRoom, startingSettings } from './stand-ins';

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
  air: [],
  diary: [],
  photos: [],
  learned: [],
});
