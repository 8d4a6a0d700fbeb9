import Dexie, { type EntityTable, type Table } from 'dexie';
import type { Colourant, Method, Piece, Planned, Pour, PourEvent, Resin, Room, Settings, Slope, Stock, Vessel } from '#core/document';
import type { PourSummary } from '#core/record';
import type { Patch } from './patch';
import { upgradeTo2, upgradeTo4, upgradeTo6 } from './upgrades';

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
}

const VERSION = 6;

class NeriteDb extends Dexie {
  pieces!: EntityTable<Piece, 'id'>;
  resins!: EntityTable<Resin, 'id'>;
  colourants!: EntityTable<Colourant, 'id'>;
  rooms!: EntityTable<Room, 'id'>;
  vessels!: EntityTable<Vessel, 'id'>;
  stock!: EntityTable<Stock, 'id'>;
  slopes!: EntityTable<Slope, 'id'>;
  pours!: EntityTable<StoredPour, 'id'>;
  events!: Table<StoredEvent, [string, number]>;
  /** What of each pour is listed; follows from it and its events, and is written with them. */
  summaries!: EntityTable<PourSummary, 'id'>;
  snapshots!: EntityTable<Snapshot, 'id'>;
  kept!: Table<{ name: keyof Kept; value: Kept[keyof Kept] }, string>;
  edits!: EntityTable<Edit, 'id'>;
  before!: Table<Before, [string, string]>;
  aside!: EntityTable<Aside, 'id'>;

  constructor() {
    // what was told as kept must outlast a power cut too
    super('nerite', { chromeTransactionDurability: 'strict' });
    this.version(1).stores({
      pieces: 'id',
      resins: 'id',
      colourants: 'id',
      rooms: 'id',
      pours: 'id, pieceId',
      events: '[pourId+seq], pourId',
      kept: 'name',
      edits: '++id, pieceId',
    });
    // the shelf came with its own undo, so that an edit is no longer of one piece alone
    this.version(2).stores({ vessels: 'id', stock: 'id', edits: '++id, scope' }).upgrade(upgradeTo2);
    this.version(3).stores({ slopes: 'id' });
    // a pour is of several pieces, and keeps what it was told
    this.version(4).stores({ pours: 'id' }).upgrade(upgradeTo4);
    this.version(5).stores({ aside: '++id' });
    // edits keep what they changed, pours are listed from rows of their own, and what is equal is stored once
    this.version(VERSION).stores({ summaries: 'id', snapshots: '++id, hash', before: '[list+id]' }).upgrade(upgradeTo6);
    // the library opens what a later version stored; its rows would look wrong to this one, and must not be touched by it
    this.on(
      'ready',
      () => {
        if (this.backendDB().version > VERSION * 10) throw new Dexie.VersionError('stored by a later version');
      },
      true,
    );
  }
}

export const db = new NeriteDb();

export async function kept<K extends keyof Kept>(name: K): Promise<Kept[K] | undefined> {
  return (await db.kept.get(name))?.value as Kept[K] | undefined;
}

export const keep = <K extends keyof Kept>(name: K, value: Kept[K]): Promise<unknown> => db.kept.put({ name, value });
