import type {
  AirDay,
  Colourant,
  DiaryEntry,
  Learned,
  Method,
  Photo,
  Piece,
  Planned,
  Pour,
  PourEvent,
  Resin,
  Room,
  Settings,
  Slope,
  Stock,
  Vessel,
} from '#core/document';
import type { Told } from '#core/calendar';
import type { Patch } from './patch';

/** What is stored, row by row. */

/** Single values that are edited by hand, each under its own name. */
export interface Habits {
  settings: Settings;
  method: Method;
}

/** What is edited by hand: things in tables, told by their ids, and habits, told by their names. */
export interface Edited {
  pieces: Piece;
  resins: Resin;
  colourants: Colourant;
  rooms: Room;
  vessels: Vessel;
  stock: Stock;
  slopes: Slope;
  air: AirDay;
  diary: DiaryEntry;
  photos: Photo;
  learned: Learned;
  kept: Settings | Method;
}

/** One thing that came or went, whole, or what was changed in one that stays. */
export type Change = {
  [T in keyof Edited]: { table: T; id: string } & ({ before: Edited[T] | null; after: Edited[T] | null } | { patch: Patch });
}[keyof Edited];

/** One edit: of a piece, by its id, of the shelf, of the slopes, or of the settings. */
export interface Edit {
  id: number;
  scope: string;
  label: string;
  changes: Change[];
  /** 1 while taken back and not yet done again */
  undone: 0 | 1;
  at: number;
  /** Edits with the same mark in quick succession are one: a point nudged ten times is moved once. */
  mark?: string;
}

/** A row that does not fit the document, put aside as it was so that it holds nothing up. */
export interface Aside {
  id: number;
  /** Where it stood: a list of the document, or "settings", "method", "events". */
  from: string;
  /** What it is called, as far as that can be read. */
  name: string;
  row: unknown;
  /** What does not fit, in sentences. */
  why: string[];
  at: number;
}

/** Materials or habits that pours were planned from. Equal ones are stored once, however many pours name them. */
export interface Snapshot {
  id: number;
  /** Of its text, to be found by. */
  hash: number;
  value: Resin[] | Colourant[] | Method;
}

/** What a pour was planned from, its materials and habits as snapshots by their numbers. */
export type StoredPlanned = Pick<Planned, 'pieces' | 'room'> & { resins: number; colourants: number; method: number };

/** A pour as stored: its events stand in a table of their own that is only ever added to. */
export type StoredPour = Omit<Pour, 'events' | 'planned'> & { planned: StoredPlanned };
export type StoredEvent = PourEvent & { pourId: string };

/** A picture in one of its sizes: a thumbnail, as it is kept, or as the camera gave it. */
export interface StoredImage {
  photoId: string;
  size: 'thumb' | 'kept' | 'original';
  blob: Blob;
}

/** One thing of the studio that stood here before it was last replaced: of a list of the document, or its settings or method. */
export interface Before {
  list: string;
  id: string;
  row: unknown;
}

export interface TableState {
  sorting: { id: string; desc: boolean }[];
  filter: string;
}

/** Single values, by name. */
export interface Kept extends Habits {
  /** How tables are sorted and filtered, by the name of each. */
  tables: Record<string, TableState>;
  /** What was told on this device; no part of the studio. */
  notices: Told;
  /** When a backup was last made on this device. */
  backup: { at: number };
  /** How drills went on this device, by the name of each. */
  drills: Record<string, { best: number; last: number; times: number }>;
}
