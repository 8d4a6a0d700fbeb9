import 'fake-indexeddb/auto';
import { readFileSync } from 'node:fs';
import type { Studio } from '#core/document';
import { db } from '../../../src/lib/store/db';
import { replaceStudio } from '../../../src/lib/store/studio';
import { toldStudio } from '#core/pour';
import { sample } from '../../factories';

/** A database as a version left it: its stores and what is in them. */
interface Fixture {
  version: number;
  stores: Record<string, { keyPath: string | string[]; autoIncrement?: boolean; indexes?: string[] }>;
  rows: Record<string, unknown[]>;
}

/** Nothing is stored; the next that asks opens it anew. */
export async function emptied(): Promise<void> {
  await db.delete();
  await db.open();
}

/** The sample studio is stored, and nothing else. */
export async function sampleStored(change: (studio: Studio) => Studio = (s) => s): Promise<Studio> {
  await emptied();
  const studio = change(toldStudio(sample()));
  await replaceStudio(studio);
  return studio;
}

/** Stores what a version left. */
export async function leftBy(version: number): Promise<Fixture> {
  const fixture = JSON.parse(readFileSync(new URL(`./fixtures/version-${version}.json`, import.meta.url), 'utf8')) as Fixture;
  await db.delete();
  await new Promise<void>((resolve, reject) => {
    const request = indexedDB.open('nerite', fixture.version * 10);
    request.onerror = () => reject(new Error('no database'));
    request.onupgradeneeded = () => {
      for (const [name, { keyPath, autoIncrement = false, indexes = [] }] of Object.entries(fixture.stores)) {
        const store = request.result.createObjectStore(name, { keyPath, autoIncrement });
        for (const index of indexes) store.createIndex(index, index);
      }
    };
    request.onsuccess = () => {
      const all = request.result.transaction(Object.keys(fixture.stores), 'readwrite');
      for (const [name, rows] of Object.entries(fixture.rows)) for (const row of rows) all.objectStore(name).put(row);
      all.oncomplete = () => {
        request.result.close();
        resolve();
      };
    };
  });
  return fixture;
}
