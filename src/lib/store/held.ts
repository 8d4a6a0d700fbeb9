import { namedBy, type Colourant, type Piece, type Resin, type Slope, type Stock } from '#core/document';
import { db, kept, type Change } from './db';

type Material = 'resins' | 'colourants';
type Naming = Piece | Slope | Stock;

const words: Record<Material, string> = { resins: 'resin', colourants: 'colourant' };
const called = (thing: Naming): string => ('name' in thing ? thing.name : 'a container');

/** Looks for a resin or a colourant that was on the shelf once: in what was edited, in what pours were planned from, in the studio before. */
async function lastCopy(table: Material, id: string): Promise<Resin | Colourant | undefined> {
  const edit = await db.edits
    .reverse()
    .filter((e) => e.changes.some((c) => c.table === table && c.id === id && (c.before ?? c.after)))
    .first();
  const change = edit?.changes.find((c) => c.table === table && c.id === id);
  const own = (change?.before ?? change?.after) as Resin | Colourant | null | undefined;
  if (own) return own;
  const pour = await db.pours.filter((p) => p.planned[table].some((row) => row.id === id)).first();
  return pour?.planned[table].find((row) => row.id === id) ?? (await kept('before'))?.[table].find((row) => row.id === id);
}

/**
 * Keeps what is named on the shelf: a resin or colourant that an edit brings back into use comes back with it, and one
 * that something still names does not go. Within the transaction of the edit, which it undoes by throwing.
 * @throws Error that says by name what is missing or still used
 */
export async function holdReferences(changes: Change[], which: 'before' | 'after'): Promise<void> {
  const naming = changes.flatMap((c): Naming[] => {
    const row = c[which];
    return row && (c.table === 'pieces' || c.table === 'slopes' || c.table === 'stock') ? [row as Naming] : [];
  });
  for (const thing of naming)
    for (const table of ['resins', 'colourants'] as const)
      for (const id of new Set(namedBy(thing)[table])) {
        if (await db.table(table).get(id)) continue;
        const copy = await lastCopy(table, id);
        if (!copy)
          throw new Error(`${called(thing)} names the ${words[table]} “${id}”, which is not on the shelf any more. Put it there first.`);
        await db.table(table).put(copy);
      }
  for (const change of changes) {
    if (change[which] || (change.table !== 'resins' && change.table !== 'colourants')) continue;
    const user = await firstNaming(change.table, change.id);
    const gone = change.before ?? change.after;
    if (user) throw new Error(`${gone && 'name' in gone ? gone.name : 'It'} stays on the shelf: ${called(user)} uses it.`);
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
