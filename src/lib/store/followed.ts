import Dexie, { RangeSet, type ObservabilitySet } from 'dexie';
import type { PourSummary } from '#core/record';
import { db } from './db';
import type { Aside, Edited, Habits } from './rows';

/** Everything screens read, as it is stored: rows that did not change are the same objects as before. */
export interface Rows extends Habits, Omit<{ [T in keyof Edited]: Edited[T][] }, 'kept'> {
  summaries: PourSummary[];
  aside: Aside[];
}

const tables = [
  'pieces',
  'resins',
  'colourants',
  'rooms',
  'vessels',
  'stock',
  'slopes',
  'air',
  'diary',
  'photos',
  'learned',
  'summaries',
  'aside',
] as const;
type Followed = (typeof tables)[number];
type Row = { id: string | number };

/** Keys that were written in a table; "all" where whole ranges of them were. */
function keysIn(parts: ObservabilitySet, table: string): IDBValidKey[] | 'all' | undefined {
  const keys = new Set<IDBValidKey>();
  for (const part of ['', ':dels']) {
    const ranges = parts[`idb://${db.name}/${table}/${part}` as keyof ObservabilitySet];
    if (!ranges) continue;
    for (const { from, to } of new RangeSet().add(ranges as never)) {
      if (from !== to) return 'all';
      keys.add(from as IDBValidKey);
    }
  }
  return keys.size ? [...keys] : undefined;
}

const sameRow = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * Follows the studio: reads it once, and then what any window writes, row by row. All that one transaction wrote is told at
 * once, so that a piece never meets the resins of another studio.
 */
export class StudioRows {
  readonly #rows = new Map<Followed, Map<string | number, Row>>();
  readonly #kept = new Map<string, unknown>();
  readonly #told: (rows: Rows) => void;
  #lists: Partial<Record<Followed, Row[]>> = {};
  #reading: Promise<void> = Promise.resolve();

  /** @param told what is stored, at first and after every write; not before there is a studio */
  constructor(told: (rows: Rows) => void) {
    this.#told = told;
    Dexie.on('storagemutated', this.#onWrite);
    this.#next(() => this.#read(new Map<string, 'all'>([...tables, 'kept'].map((t) => [t, 'all']))));
  }

  /** Follows no longer. */
  stop(): void {
    Dexie.on('storagemutated').unsubscribe(this.#onWrite);
  }

  /** Resolves when all that was written by now has been told. */
  get settled(): Promise<void> {
    return this.#reading;
  }

  readonly #onWrite = (parts: ObservabilitySet): void => {
    const changed = new Map<string, IDBValidKey[] | 'all'>();
    for (const table of [...tables, 'kept']) {
      const keys = keysIn(parts, table);
      if (keys) changed.set(table, keys);
    }
    if (changed.size) this.#next(() => this.#read(changed));
  };

  #next(work: () => Promise<void>): void {
    this.#reading = this.#reading.then(work).catch((error: unknown) => console.error(error));
  }

  async #read(changed: Map<string, IDBValidKey[] | 'all'>): Promise<void> {
    await db.transaction(
      'r',
      [...changed.keys()].map((name) => db.table(name)),
      async () => {
        await Promise.all(
          [...changed].map(([name, keys]) => (name === 'kept' ? this.#readKept() : this.#readTable(name as Followed, keys))),
        );
      },
    );
    const [settings, method] = [this.#kept.get('settings'), this.#kept.get('method')];
    if (!settings || !method) return;
    const lists = Object.fromEntries(tables.map((name) => [name, (this.#lists[name] ??= this.#listOf(name))]));
    this.#told({ settings, method, ...lists } as unknown as Rows);
  }

  #listOf(name: Followed): Row[] {
    return [...(this.#rows.get(name)?.values() ?? [])].sort((a, b) => (a.id < b.id ? -1 : 1));
  }

  async #readKept(): Promise<void> {
    for (const name of ['settings', 'method'] as const) {
      const value = (await db.kept.get(name))?.value;
      if (!sameRow(value, this.#kept.get(name))) this.#kept.set(name, value);
    }
  }

  async #readTable(name: Followed, keys: IDBValidKey[] | 'all'): Promise<void> {
    const known = this.#rows.get(name) ?? new Map<string | number, Row>();
    const table = db.table<Row, IDBValidKey>(name);
    const read = keys === 'all' ? await table.toArray() : await table.bulkGet(keys);
    let differs = !this.#rows.has(name);
    if (keys === 'all') {
      const there = new Set(read.map((row) => row!.id));
      for (const id of known.keys()) if (!there.has(id)) differs = known.delete(id) || differs;
    }
    read.forEach((row, i) => {
      if (!row) differs = known.delete((keys as (string | number)[])[i]!) || differs;
      else if (!sameRow(row, known.get(row.id))) {
        known.set(row.id, row);
        differs = true;
      }
    });
    this.#rows.set(name, known);
    if (differs) delete this.#lists[name];
  }
}
