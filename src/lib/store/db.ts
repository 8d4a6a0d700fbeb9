import Dexie, { type EntityTable, type Table } from 'dexie';
import { startingVessels } from '#core/craft';
import {
  upgradedMethod,
  upgradedPour,
  upgradedStudio,
  type Colourant,
  type Method,
  type Piece,
  type Pour,
  type PourEvent,
  type Resin,
  type Room,
  type Settings,
  type Slope,
  type Stock,
  type Studio,
  type Vessel,
} from '#core/document';
import { toldStudio, withTold } from '#core/pour';

/** Tables whose rows are edited by hand, and what is in them. */
export interface Edited {
  pieces: Piece;
  resins: Resin;
  colourants: Colourant;
  vessels: Vessel;
  stock: Stock;
  slopes: Slope;
}

/** One thing whole before and after an edit; null where it was not there. */
export type Change = { [T in keyof Edited]: { table: T; id: string; before: Edited[T] | null; after: Edited[T] | null } }[keyof Edited];

/** One edit: of a piece, by its id, of the shelf, or of the slopes. */
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

/** A pour as stored: its events stand in a table of their own that is only ever added to. */
export type StoredPour = Omit<Pour, 'events'>;
export type StoredEvent = PourEvent & { pourId: string };

/** Single values, by name. */
export interface Kept {
  settings: Settings;
  method: Method;
  /** What stood here before the studio was last replaced, so that nothing is lost by a wrong file. */
  before: Studio;
  /** How tables are sorted and filtered, by the name of each. */
  tables: Record<string, TableState>;
}

export interface TableState {
  sorting: { id: string; desc: boolean }[];
  filter: string;
}

const VERSION = 5;

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
  kept!: Table<{ name: keyof Kept; value: Kept[keyof Kept] }, string>;
  edits!: EntityTable<Edit, 'id'>;
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
    this.version(2)
      .stores({ vessels: 'id', stock: 'id', edits: '++id, scope' })
      .upgrade(async (old) => {
        await old.table('vessels').bulkPut(startingVessels);
        await old
          .table('edits')
          .toCollection()
          .modify((edit: Record<string, unknown>) => {
            const { pieceId, before, after } = edit;
            edit['scope'] = pieceId;
            edit['changes'] = [{ table: 'pieces', id: pieceId, before, after }];
            for (const gone of ['pieceId', 'before', 'after']) delete edit[gone];
          });
      });
    this.version(3).stores({ slopes: 'id' });
    // a pour is of several pieces, and keeps what it was told; those from before are told once, by the planner as it is now
    this.version(4)
      .stores({ pours: 'id' })
      .upgrade(async (old) => {
        const events = await old.table<StoredEvent>('events').toArray();
        const pours = await old.table<StoredPour>('pours').toArray();
        const told = pours.map((pour) => {
          const { events: _, ...rest } = withTold({
            ...(upgradedPour(pour) as StoredPour),
            events: events.filter((e) => e.pourId === pour.id),
          });
          return rest;
        });
        await old.table('pours').bulkPut(told);
        const method: unknown = (await old.table('kept').get('method'))?.value;
        if (method) await old.table('kept').put({ name: 'method', value: upgradedMethod(method) });
        const before = (await old.table('kept').get('before'))?.value as Studio | undefined;
        if (before) await old.table('kept').put({ name: 'before', value: toldStudio(upgradedStudio(before) as unknown as Studio) });
      });
    this.version(VERSION).stores({ aside: '++id' });
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
