import type { Page } from 'playwright-core';

/** Reads and writes of the stored studio past the app, as a disk fault or another program would. */

export const put = (page: Page, table: string, row: unknown): Promise<void> =>
  page.evaluate(
    ([table, row]) =>
      new Promise<void>((resolve, reject) => {
        const open = indexedDB.open('nerite');
        open.onerror = () => reject(open.error);
        open.onsuccess = () => {
          const tx = open.result.transaction(table as string, 'readwrite');
          tx.objectStore(table as string).put(row);
          tx.oncomplete = () => {
            open.result.close();
            resolve();
          };
          tx.onerror = () => reject(tx.error);
        };
      }),
    [table, row] as const,
  );

export const all = <T>(page: Page, table: string): Promise<T[]> =>
  page.evaluate(
    (table) =>
      new Promise<unknown[]>((resolve, reject) => {
        const open = indexedDB.open('nerite');
        open.onerror = () => reject(open.error);
        open.onsuccess = () => {
          const got = open.result.transaction(table).objectStore(table).getAll();
          got.onsuccess = () => {
            open.result.close();
            resolve(got.result);
          };
          got.onerror = () => reject(got.error);
        };
      }),
    table,
  ) as Promise<T[]>;

export const remove = (page: Page, table: string, key: string): Promise<void> =>
  page.evaluate(
    ([table, key]) =>
      new Promise<void>((resolve, reject) => {
        const open = indexedDB.open('nerite');
        open.onsuccess = () => {
          const tx = open.result.transaction(table as string, 'readwrite');
          tx.objectStore(table as string).delete(key as string);
          tx.oncomplete = () => {
            open.result.close();
            resolve();
          };
          tx.onerror = () => reject(tx.error);
        };
      }),
    [table, key] as const,
  );

type Row = Record<string, unknown>;

/** One thing wrong in what is stored: what is called wrong, and how it is made so. */
export interface Damage {
  name: string;
  /** How many things it puts aside. */
  aside: number;
  does: (page: Page) => Promise<void>;
}

const spoil = (table: string, id: string, change: (row: Row) => Row) => async (page: Page) => {
  const row = (await all<Row>(page, table)).find((r) => r['id'] === id || r['name'] === id);
  if (!row) throw new Error(`no ${id} in ${table}`);
  await put(page, table, change(row));
};
const without = (row: Row, key: string): Row => Object.fromEntries(Object.entries(row).filter(([k]) => k !== key));

export const damages: Damage[] = [
  { name: 'a piece without a sea', aside: 1, does: spoil('pieces', 'kelp-cove-2', (p) => without(p, 'sea')) },
  {
    name: 'a piece with an unknown kind of coat',
    aside: 1,
    does: spoil('pieces', 'kelp-cove-2', (p) => ({ ...p, coats: [{ ...(p['coats'] as Row[])[0], kind: 'varnish' }] })),
  },
  { name: 'a piece whose shape is null', aside: 1, does: spoil('pieces', 'kelp-cove-1', (p) => ({ ...p, shape: null })) },
  { name: 'a pour whose plan is gone', aside: 1, does: spoil('pours', 'pour-1', (p) => without(p, 'planned')) },
  {
    name: 'a pour of coats that are not there',
    aside: 1,
    does: spoil('pours', 'pour-1', (p) => ({ ...p, of: [{ pieceId: 'nowhere', coatIds: ['nothing'] }] })),
  },
  { name: 'settings that are null', aside: 1, does: spoil('kept', 'settings', (r) => ({ ...r, value: null })) },
  {
    name: 'settings in a room that is gone',
    aside: 0,
    does: spoil('kept', 'settings', (r) => ({ ...r, value: { ...(r['value'] as Row), roomId: 'elsewhere' } })),
  },
  { name: 'settings that are gone', aside: 0, does: (page) => remove(page, 'kept', 'settings') },
  {
    name: 'habits without a number',
    aside: 1,
    does: spoil('kept', 'method', (r) => ({ ...r, value: without(r['value'] as Row, 'spare') })),
  },
  {
    name: 'a container of nothing',
    aside: 1,
    does: async (page) => {
      const [row] = await all<Row>(page, 'stock');
      await put(page, 'stock', { ...row, of: {} });
    },
  },
  {
    name: 'a resin without its times',
    aside: 1,
    does: async (page) => {
      const [row] = await all<Row>(page, 'resins');
      await put(page, 'resins', { ...row, workingMin: 'long' });
    },
  },
  {
    name: 'an event of a pour that is not there',
    aside: 1,
    does: (page) => put(page, 'events', { pourId: 'gone', seq: 1, at: '2026-11-25T13:36:00Z', kind: 'done' }),
  },
];
