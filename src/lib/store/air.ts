import { daysWith, type AirAt } from '#core/air';
import type { AirDay } from '#core/document';
import { db } from './db';
import { editRows, SETTINGS } from './edits';

const idsOf = (roomId: string, read: readonly AirAt[]): string[] => daysWith([], roomId, read).map((day) => day.id);

/** Keeps what a thermometer that is read by itself shows. It is no edit, and no undo takes it back. */
export function recordAir(roomId: string, read: AirAt): Promise<void> {
  return db.transaction('rw', db.air, async () => {
    const days = (await db.air.bulkGet(idsOf(roomId, [read]))).filter((day) => day !== undefined);
    await db.air.bulkPut(daysWith(days, roomId, [read]));
  });
}

/** Keeps readings that were typed or came in with a file, as one edit of the settings. @throws where the browser will not keep them */
export async function addReadings(roomId: string, read: readonly AirAt[], label: string): Promise<void> {
  const days = (await db.air.bulkGet(idsOf(roomId, read))).filter((day) => day !== undefined);
  await editRows(
    SETTINGS,
    label,
    daysWith(days, roomId, read).map((row) => ({ table: 'air' as const, id: row.id, row })),
  );
}

/** Takes off every reading of a room, as one edit of the settings. */
export async function removeReadings(roomId: string): Promise<void> {
  const days: AirDay[] = await db.air.filter((day) => day.roomId === roomId).toArray();
  await editRows(
    SETTINGS,
    'Take off the readings',
    days.map(({ id }) => ({ table: 'air' as const, id, row: null })),
  );
}
