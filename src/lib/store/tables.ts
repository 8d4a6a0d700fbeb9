import { db, keep, kept } from './db';
import type { TableState } from './rows';

export type { TableState };

/** How a table was left, so that it comes back as it was. */
export const readTable = async (name: string): Promise<TableState | undefined> => (await kept('tables'))?.[name];

/** Remembers how a table was left. */
export function keepTable(name: string, state: TableState): Promise<void> {
  return db.transaction('rw', db.kept, async () => {
    await keep('tables', { ...(await kept('tables')), [name]: state });
  });
}
