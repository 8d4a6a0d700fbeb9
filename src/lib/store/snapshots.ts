import type { EntityTable } from 'dexie';
import { seedOf } from '#core/geometry';
import type { Colourant, Method, Planned, Resin } from '#core/document';
import type { Snapshot, StoredPlanned } from './rows';

type SnapshotTable = EntityTable<Snapshot, 'id'>;

/** Numbers of snapshots by their texts, for where many pours are stored at once. */
export type Known = Map<string, number>;

/** The number of a snapshot with this value, which is stored where there is none. Within the caller's transaction. */
async function numberOf(table: SnapshotTable, value: Snapshot['value'], known: Known): Promise<number> {
  const text = JSON.stringify(value);
  const number = known.get(text) ?? (await storedNumber(table, value, text));
  known.set(text, number);
  return number;
}

async function storedNumber(table: SnapshotTable, value: Snapshot['value'], text: string): Promise<number> {
  const hash = seedOf(text);
  const alike = await table.where('hash').equals(hash).toArray();
  return alike.find((row) => JSON.stringify(row.value) === text)?.id ?? table.add({ hash, value });
}

/** What a pour was planned from as it is stored. */
export async function storedPlanned(
  table: SnapshotTable,
  { pieces, room, resins, colourants, method }: Planned,
  known: Known = new Map(),
): Promise<StoredPlanned> {
  return {
    pieces,
    room,
    resins: await numberOf(table, resins, known),
    colourants: await numberOf(table, colourants, known),
    method: await numberOf(table, method, known),
  };
}

/** What a pour was planned from, with its snapshots. One that is lost leaves nothing in its place, so that the row is put aside. */
export const plannedWith = (
  { pieces, room, resins, colourants, method }: StoredPlanned,
  values: ReadonlyMap<number, Snapshot['value']>,
): Planned => ({
  pieces,
  room,
  resins: values.get(resins) as Resin[],
  colourants: values.get(colourants) as Colourant[],
  method: values.get(method) as Method,
});
