import Dexie, { type EntityTable, type Table } from 'dexie';
import type { Colourant, Method, Piece, Pour, PourEvent, Resin, Room, Settings, Studio } from '#core/document';

/** One edit of a piece, whole before and after; null where the piece was not there. */
export interface Edit {
  id: number;
  pieceId: string;
  label: string;
  before: Piece | null;
  after: Piece | null;
  /** 1 while taken back and not yet done again */
  undone: 0 | 1;
  at: number;
  /** Edits with the same mark in quick succession are one: a point nudged ten times is moved once. */
  mark?: string;
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
}

class NeriteDb extends Dexie {
  pieces!: EntityTable<Piece, 'id'>;
  resins!: EntityTable<Resin, 'id'>;
  colourants!: EntityTable<Colourant, 'id'>;
  rooms!: EntityTable<Room, 'id'>;
  pours!: EntityTable<StoredPour, 'id'>;
  events!: Table<StoredEvent, [string, number]>;
  kept!: Table<{ name: keyof Kept; value: Kept[keyof Kept] }, string>;
  edits!: EntityTable<Edit, 'id'>;

  constructor() {
    super('nerite');
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
  }
}

export const db = new NeriteDb();

export async function kept<K extends keyof Kept>(name: K): Promise<Kept[K] | undefined> {
  return (await db.kept.get(name))?.value as Kept[K] | undefined;
}

export const keep = <K extends keyof Kept>(name: K, value: Kept[K]): Promise<unknown> => db.kept.put({ name, value });
