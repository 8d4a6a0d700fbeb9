import { lists, type Studio } from '#core/document';
import { HABITS } from './before-rows';
import { db } from './db';

/** The studio that stood here before it was last replaced; undefined where none did. */
export async function readBefore(): Promise<Studio | undefined> {
  const rows = await db.before.toArray();
  const habit = (id: string): unknown => rows.find((r) => r.list === HABITS && r.id === id)?.row;
  const [settings, method] = [habit('settings'), habit('method')];
  if (!settings || !method) return undefined;
  const of = Object.fromEntries(lists.map((list) => [list, rows.filter((r) => r.list === list).map((r) => r.row)]));
  return { format: 'nerite-studio', version: 2, settings, method, ...of } as unknown as Studio;
}

/** Whether a studio that was replaced can be brought back. */
export const hasBefore = async (): Promise<boolean> => (await db.before.count()) > 0;
