import type { EntityTable } from 'dexie';
import { seedOf } from '#core/geometry';
import type { Colourant, Method, Planned, Resin } from '#core/document';
import type { Snapshot, StoredPlanned } from './rows';

type SnapshotTable = EntityTable<Snapshot, 'id'>;

const valuesOf = ({ resins, colourants, method }: Planned): Snapshot['value'][] => [resins, colourants, method];

/** Numbers of snapshots with these texts; those there are none of are stored. */
async function numbersOf(table: SnapshotTable, values: ReadonlyMap<string, Snapshot['value']>): Promise<Map<string, number>> {
  const hashes = new Map([...values.keys()].map((text) => [text, seedOf(text)]));
  const alike = await table
    .where('hash')
    .anyOf([...hashes.values()])
    .toArray();
  const numbers = new Map(alike.map((row) => [JSON.stringify(row.value), row.id]));
  const missing = [...values].filter(([text]) => !numbers.has(text));
  const added = await table.bulkAdd(
    missing.map(([text, value]) => ({ hash: hashes.get(text)!, value })),
    { allKeys: true },
  );
  missing.forEach(([text], i) => numbers.set(text, added[i]!));
  return numbers;
}

/**
 * What pours were planned from as it is stored, equal snapshots once. Within the caller's transaction, in two requests
 * however many pours there are: a transaction ends by itself where much is awaited that asks nothing of the database.
 */
export async function storedPlanned(table: SnapshotTable, planned: Planned[]): Promise<StoredPlanned[]> {
  const texts = planned.map((p) => valuesOf(p).map((value) => JSON.stringify(value)));
  const values = new Map(planned.flatMap((p, i) => valuesOf(p).map((value, k) => [texts[i]![k]!, value] as const)));
  const numbers = await numbersOf(table, values);
  return planned.map(({ pieces, room }, i) => {
    const [resins, colourants, method] = texts[i]!.map((text) => numbers.get(text)!);
    return { pieces, room, resins: resins!, colourants: colourants!, method: method! };
  });
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
