import { namedBy, type Colourant, type Piece, type Resin, type Slope, type Stock } from '#core/document';
import { db } from './db';
import type { Change } from './rows';

type Material = 'resins' | 'colourants';
type Naming = Piece | Slope | Stock;

const words: Record<Material, string> = { resins: 'resin', colourants: 'colourant' };
const called = (thing: Naming): string => ('name' in thing ? thing.name : 'a container');

/** One thing of an edit: as it was, and as it is left. */
interface Step {
  table: string;
  id: string;
  before: object | null;
  after: object | null;
}

const copyIn = (table: Material, id: string) => (c: Change) => c.table === table && c.id === id && 'before' in c && (c.before ?? c.after);

/** Looks for a resin or a colourant that was on the shelf once: among what was taken off, in what pours were planned from, in the studio before. */
async function lastCopy(table: Material, id: string): Promise<Resin | Colourant | undefined> {
  const isCopy = copyIn(table, id);
  const edit = await db.edits
    .reverse()
    .filter((e) => e.changes.some(isCopy))
    .first();
  const change = edit?.changes.find(isCopy);
  if (change && 'before' in change) return (change.before ?? change.after) as Resin | Colourant;
  const inSnapshots = (await db.snapshots.toArray())
    .flatMap(({ value }) => (Array.isArray(value) ? (value as (Resin | Colourant)[]) : []))
    .find((row) => row.id === id && (table === 'resins') === 'gelMin' in row);
  return inSnapshots ?? ((await db.before.get([table, id]))?.row as Resin | Colourant | undefined);
}

/**
 * Keeps what is named on the shelf: a resin or colourant that an edit brings back into use comes back with it, and one
 * that something still names does not go. Within the transaction of the edit, which it undoes by throwing.
 * @throws Error that says by name what is missing or still used
 */
export async function holdReferences(steps: Step[]): Promise<void> {
  const naming = steps.flatMap(({ table, after }): Naming[] =>
    after && (table === 'pieces' || table === 'slopes' || table === 'stock') ? [after as Naming] : [],
  );
  for (const thing of naming)
    for (const table of ['resins', 'colourants'] as const)
      for (const id of new Set(namedBy(thing)[table])) {
        if (await db.table(table).get(id)) continue;
        const copy = await lastCopy(table, id);
        if (!copy)
          throw new Error(`${called(thing)} names the ${words[table]} “${id}”, which is not on the shelf any more. Put it there first.`);
        await db.table(table).put(copy);
      }
  for (const { table, id, before, after } of steps) {
    if (after || (table !== 'resins' && table !== 'colourants')) continue;
    const user = await firstNaming(table, id);
    if (user) throw new Error(`${before && 'name' in before ? String(before.name) : 'It'} stays on the shelf: ${called(user)} uses it.`);
  }
}

/** The first piece, slope or container that names a resin or a colourant. */
async function firstNaming(table: Material, id: string): Promise<Naming | undefined> {
  for (const of of [db.pieces, db.slopes, db.stock]) {
    const found = await of.filter((row: Naming) => namedBy(row)[table].includes(id)).first();
    if (found) return found;
  }
  return undefined;
}
