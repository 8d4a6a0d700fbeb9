import Dexie, { type EntityTable, type Table, type Transaction } from 'dexie';
import type { AirDay, Colourant, DiaryEntry, Learned, Photo, Piece, Resin, Room, Slope, Stock, Vessel } from '#core/document';
import type { PourSummary } from '#core/record';
import type { Aside, Before, Edit, Kept, Snapshot, StoredEvent, StoredImage, StoredPour } from './rows';

const VERSION = 9;

/** What is stored by an older version is brought up by code that is fetched only then; the transaction waits for it. */
async function upgrade(tx: Transaction, to: keyof typeof import('./upgrades')): Promise<void> {
  const upgrades = await Dexie.waitFor(import('./upgrades'));
  await upgrades[to](tx);
}

class NeriteDb extends Dexie {
  pieces!: EntityTable<Piece, 'id'>;
  resins!: EntityTable<Resin, 'id'>;
  colourants!: EntityTable<Colourant, 'id'>;
  rooms!: EntityTable<Room, 'id'>;
  vessels!: EntityTable<Vessel, 'id'>;
  stock!: EntityTable<Stock, 'id'>;
  slopes!: EntityTable<Slope, 'id'>;
  air!: EntityTable<AirDay, 'id'>;
  diary!: EntityTable<DiaryEntry, 'id'>;
  photos!: EntityTable<Photo, 'id'>;
  /** Their pictures, apart from what is listed of them. */
  images!: Table<StoredImage, [string, string]>;
  learned!: EntityTable<Learned, 'id'>;
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
    this.version(2)
      .stores({ vessels: 'id', stock: 'id', edits: '++id, scope' })
      .upgrade((tx) => upgrade(tx, 'upgradeTo2'));
    this.version(3).stores({ slopes: 'id' });
    // a pour is of several pieces, and keeps what it was told
    this.version(4)
      .stores({ pours: 'id' })
      .upgrade((tx) => upgrade(tx, 'upgradeTo4'));
    this.version(5).stores({ aside: '++id' });
    // edits keep what they changed, pours are listed from rows of their own, and what is equal is stored once
    this.version(6)
      .stores({ summaries: 'id', snapshots: '++id, hash', before: '[list+id]' })
      .upgrade((tx) => upgrade(tx, 'upgradeTo6'));
    // readings of the air, a row a room and day
    this.version(7).stores({ air: 'id' });
    // what the calendar goes by
    this.version(8).stores({ diary: 'id' });
    // photographs of the work, and what pours taught
    this.version(VERSION).stores({ photos: 'id', images: '[photoId+size], photoId', learned: 'id' });
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

/** Something that stands once in a studio: its settings, its habits, how tables were left. */
export async function kept<K extends keyof Kept>(name: K): Promise<Kept[K] | undefined> {
  return (await db.kept.get(name))?.value as Kept[K] | undefined;
}

/** Puts it anew. To be called in a transaction where it follows from what was there. */
export const keep = <K extends keyof Kept>(name: K, value: Kept[K]): Promise<unknown> => db.kept.put({ name, value });
