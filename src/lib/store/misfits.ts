import { standIns } from '#core/craft';
import { sortOut, type Misfit, type Rows, type Studio } from '#core/document';
import { summaryOf } from '#core/record';
import { db, keep } from './db';
import type { Aside, StoredEvent, StoredPour } from './rows';
import { eventsByPour, pourTables, snapshotValues, wholePour } from './studio';

const lists = ['rooms', 'resins', 'colourants', 'pieces', 'vessels', 'stock', 'slopes', 'air', 'diary', 'photos', 'learned'] as const;
const stores = [...lists.map((list) => db[list]), ...pourTables, db.kept, db.aside];

const called = (row: unknown): string => {
  const { name, id } = (row ?? {}) as { name?: unknown; id?: unknown };
  return [name, id].find((v): v is string => typeof v === 'string' && v !== '') ?? 'without a name';
};
const asideOf = ({ from, row, why, of }: Misfit): Omit<Aside, 'id'> => ({
  from,
  name: from === 'events' ? `an event of ${String(of)}` : called(row),
  row,
  why,
  at: Date.now(),
});

const idOf = (row: unknown): string => String((row as { id?: unknown } | null)?.id);

/** A pour whole, as far as what is stored of it is one. */
function readable(pour: StoredPour, snapshots: Parameters<typeof wholePour>[1], events: StoredEvent[]): unknown {
  const { planned } = pour as { planned?: unknown };
  return typeof planned === 'object' && planned !== null ? wholePour(pour, snapshots, events) : { ...pour, events };
}

/** Every row as it is stored, pours with their events, and events whose pour is gone; undefined before the first start. */
async function readRows(): Promise<{ rows: Rows; orphans: [string, StoredEvent[]][] } | undefined> {
  const kept = new Map((await db.kept.toArray()).map(({ name, value }) => [name as string, value as unknown]));
  const read = async (list: (typeof lists)[number]): Promise<[string, unknown[]]> => [list, await db.table(list).toArray()];
  const tables = Object.fromEntries(await Promise.all(lists.map(read)));
  const pours = await db.pours.toArray();
  const events = eventsByPour(await db.events.toArray());
  if (!kept.size && !pours.length && !Object.values(tables).some((list) => list.length)) return undefined;
  const snapshots = snapshotValues(await db.snapshots.toArray());
  const whole = pours.map((pour) => readable(pour, snapshots, events.get(idOf(pour)) ?? []));
  const rows = { ...tables, settings: kept.get('settings'), method: kept.get('method'), pours: whole } as Rows;
  return { rows, orphans: [...events].filter(([id]) => !pours.some((pour) => idOf(pour) === id)) };
}

/**
 * Reads every row there is and puts aside what does not fit the document, so that no screen meets it. Nothing is thrown
 * away: what is put aside can be saved as it was. For a worker, since it reads everything.
 * @returns how many things were put aside
 */
export async function putMisfitsAside(): Promise<number> {
  // looked at without holding up those that write; only where something is wrong is it read again to be put right
  const first = await db.transaction('r', stores, readRows);
  if (!first) return 0;
  const sorted = sortOut(first.rows, standIns);
  if (sorted.sound && !first.orphans.length) {
    await summarizeAnew(sorted.studio);
    return 0;
  }
  return db.transaction('rw', stores, async () => {
    const found = await readRows();
    if (!found) return 0;
    const { rows, orphans } = found;
    const { studio, misfits } = sortOut(rows, standIns);
    await keep('settings', studio.settings);
    await keep('method', studio.method);
    await db.rooms.bulkPut(studio.rooms);
    for (const misfit of misfits) await putAside(misfit, studio);
    for (const [id, row] of orphans) {
      await db.events.where('pourId').equals(id).delete();
      await db.aside.add(asideOf({ from: 'events', of: id, row, why: [`Its pour, ${id}, is not in the studio.`] }) as Aside);
    }
    await summarizeAnew(studio);
    return misfits.length + orphans.length;
  });
}

/** What of pours is listed follows from them: where a row of it is not what it should be, it is made again. */
async function summarizeAnew({ pours }: Studio): Promise<void> {
  const wanted = new Map(pours.map((pour) => [pour.id, summaryOf(pour)]));
  await db.transaction('rw', db.summaries, async () => {
    const listed = new Map((await db.summaries.toArray()).map((s) => [s.id, s]));
    await db.summaries.bulkDelete([...listed.keys()].filter((id) => !wanted.has(id)));
    await db.summaries.bulkPut([...wanted.values()].filter((s) => JSON.stringify(s) !== JSON.stringify(listed.get(s.id))));
  });
}

/** Takes one thing out of its table, with what stands in for it put there, and keeps it as it was. */
async function putAside(misfit: Misfit, studio: Studio): Promise<void> {
  const { from, row, of } = misfit;
  if (from === 'events') await db.events.delete([String(of), (row as StoredEvent).seq]);
  else if (from !== 'settings' && from !== 'method') {
    const place = (studio[from] as { id: string }[] | undefined)?.find((r) => r.id === idOf(row));
    await (place ? db.table(from).put(place) : db.table(from).delete(idOf(row)));
    if (from === 'pours') await db.events.where('pourId').equals(idOf(row)).delete();
  }
  if (row !== undefined) await db.aside.add(asideOf(misfit) as Aside);
}
