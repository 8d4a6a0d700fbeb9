import type { EntityTable, Transaction } from 'dexie';
import { cupsBeforeShelf, upgradedMethod, upgradedPour, climbed, type Pour, type PourEvent, type Studio } from '#core/document';
import { toldStudio, withTold } from '#core/pour';
import { summaryOf, type PourSummary } from '#core/record';
import { beforeRows } from './before-rows';
import type { Change, Edit, Snapshot } from './rows';
import { patchBetween } from './patch';
import { storedPlanned } from './snapshots';

/** What each version of the database made of the one before. Frozen: what is stored by then is read as it was then. */

type OldEvent = PourEvent & { pourId: string };
type OldPour = Omit<Pour, 'events'>;

const plain = ({ pourId: _, ...event }: OldEvent): PourEvent => event as PourEvent;
const eventsOf = (events: OldEvent[], id: string): PourEvent[] => events.filter((e) => e.pourId === id).map(plain);

/** Cups for everyone, and edits of a scope in the place of edits of a piece. */
export async function upgradeTo2(tx: Transaction): Promise<void> {
  await tx.table('vessels').bulkPut(cupsBeforeShelf);
  await tx
    .table('edits')
    .toCollection()
    .modify((edit: Record<string, unknown>) => {
      const { pieceId, before, after } = edit;
      edit['scope'] = pieceId;
      edit['changes'] = [{ table: 'pieces', id: pieceId, before, after }];
      for (const gone of ['pieceId', 'before', 'after']) delete edit[gone];
    });
}

/** Pours of several pieces that keep what they were told: those from before are told once, by the planner as it is now. */
export async function upgradeTo4(tx: Transaction): Promise<void> {
  const events = await tx.table<OldEvent>('events').toArray();
  const pours = await tx.table<OldPour>('pours').toArray();
  const told = pours.map((pour) => {
    const { events: _, ...rest } = withTold({ ...(upgradedPour(pour) as OldPour), events: eventsOf(events, pour.id) });
    return rest;
  });
  await tx.table('pours').bulkPut(told);
  const method: unknown = (await tx.table('kept').get('method'))?.value;
  if (method) await tx.table('kept').put({ name: 'method', value: upgradedMethod(method) });
  const before = (await tx.table('kept').get('before'))?.value as Studio | undefined;
  if (before) await tx.table('kept').put({ name: 'before', value: toldStudio(climbed({ ...before }) as unknown as Studio) });
}

/** A change as it was kept whole, as what it changed. */
function asPatch(change: { table: string; id: string; before?: object | null; after?: object | null }): Change {
  const { table, id, before, after } = change;
  return (before && after ? { table, id, patch: patchBetween(before, after) } : change) as Change;
}

/** Whether a pour of before has what its snapshots are made of. */
const isWhole = ({ planned, of }: OldPour): boolean =>
  Array.isArray(of) && [planned?.resins, planned?.colourants, planned?.method].every((value) => typeof value === 'object');

/** What of a pour is listed; nothing where it does not fit. */
function summaryIfAble(pour: Pour): PourSummary[] {
  try {
    return [summaryOf(pour)];
  } catch {
    return [];
  }
}

/** Edits by what they changed, pours with snapshots and summaries, and the studio before as rows of its own. */
export async function upgradeTo6(tx: Transaction): Promise<void> {
  await tx
    .table<Edit>('edits')
    .toCollection()
    .modify((edit) => void (edit.changes = (edit.changes ?? []).map(asPatch)));
  const events = await tx.table<OldEvent>('events').toArray();
  const snapshots = tx.table('snapshots') as unknown as EntityTable<Snapshot, 'id'>;
  // what does not fit is left for the reader that puts such rows aside
  const pours = (await tx.table<OldPour>('pours').toArray()).filter(isWhole);
  const planned = await storedPlanned(
    snapshots,
    pours.map((pour) => pour.planned),
  );
  await tx.table('pours').bulkPut(pours.map((pour, i) => ({ ...pour, planned: planned[i] })));
  await tx.table('summaries').bulkPut(pours.flatMap((pour) => summaryIfAble({ ...pour, events: eventsOf(events, pour.id) })));
  const before = (await tx.table('kept').get('before'))?.value as Studio | undefined;
  if (before) await tx.table('before').bulkPut(beforeRows(before));
  await tx.table('kept').delete('before');
}
