import type { Method, Room, Settings } from '#core/document';
import { db, keep, kept } from './db';

export function changeSettings(change: Partial<Settings>): Promise<void> {
  return db.transaction('rw', db.kept, async () => {
    const settings = await kept('settings');
    if (settings) await keep('settings', { ...settings, ...change });
  });
}

export function changeMethod(change: Partial<Method>): Promise<void> {
  return db.transaction('rw', db.kept, async () => {
    const method = await kept('method');
    if (method) await keep('method', { ...method, ...change });
  });
}

export async function changeRoom(id: string, change: Partial<Omit<Room, 'id'>>): Promise<void> {
  await db.rooms.update(id, change);
}
