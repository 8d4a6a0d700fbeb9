import Type, { type Static } from 'typebox';
import { DiaryEntry } from './diary';
import { Learned } from './outcome';
import { Photo } from './photo';
import { AirDay, Colourant, Method, Resin, Room, Settings } from './materials';
import { Piece } from './piece';
import { Pour } from './pour';
import { Stock, Vessel } from './shelf';
import { Slope } from './slope';
import { VERSION } from '../version';

export * from './board';
export * from './coats';
export * from './diary';
export * from './materials';
export * from './outcome';
export * from './photo';
export * from './piece';
export * from './pour';
export * from './rehearsed';
export * from './sea';
export * from './shelf';
export * from './slope';
export * from './told';
export { Point } from './parts';

/**
 * The studio document, version 2: lengths in mm, volumes in ml, weights in g, temperatures in °C,
 * shares as fractions of 1, times as ISO 8601 in UTC. What can be computed is never stored.
 */
export const Studio = Type.Object(
  {
    format: Type.Literal('nerite-studio'),
    version: Type.Literal(VERSION),
    settings: Settings,
    method: Method,
    rooms: Type.Array(Room, { minItems: 1 }),
    resins: Type.Array(Resin),
    colourants: Type.Array(Colourant),
    pieces: Type.Array(Piece),
    pours: Type.Array(Pour),
    vessels: Type.Optional(Type.Array(Vessel)),
    stock: Type.Optional(Type.Array(Stock)),
    slopes: Type.Optional(Type.Array(Slope)),
    air: Type.Optional(Type.Array(AirDay)),
    diary: Type.Optional(Type.Array(DiaryEntry, { maxItems: 20000 })),
    photos: Type.Optional(Type.Array(Photo, { maxItems: 20000 })),
    learned: Type.Optional(Type.Array(Learned, { maxItems: 2000 })),
  },
  { $id: 'nerite-studio-2', title: 'Nerite studio document, version 2', additionalProperties: false },
);
export type Studio = Static<typeof Studio>;
