import type { Page } from 'playwright-core';
import { rowOf, type Damage } from '../nasty/damages';

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

const remove = (page: Page, table: string, key: string): Promise<void> =>
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

/** Does a damage to what is stored. */
export async function spoil(page: Page, damage: Damage): Promise<void> {
  const spoilt = damage.spoilt(rowOf(await all(page, damage.table), damage));
  await (spoilt ? put(page, damage.table, spoilt) : remove(page, damage.table, damage.of!));
}
