import Dexie from 'dexie';
import { db } from './db';

/** What can be done where the database does not open as this version knows it: it is taken as it is, or given up. */

/** Everything that is stored, as it is, whatever version wrote it. */
export async function rawText(): Promise<string> {
  // opened without a version, a database is read in the one it has
  const raw = await new Dexie(db.name).open();
  try {
    const tables = await Promise.all(raw.tables.map(async (table) => [table.name, await table.toArray()] as const));
    return JSON.stringify({ format: 'nerite-raw', version: raw.verno, tables: Object.fromEntries(tables) }, null, 1);
  } finally {
    raw.close();
  }
}

/** Takes everything stored off the disk. What is there must have been saved before. */
export const eraseAll = (): Promise<void> => Dexie.delete(db.name);
