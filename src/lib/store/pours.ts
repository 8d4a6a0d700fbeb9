import type { Outcome, Piece, Planned, Pour, PourEvent, PouredCoats, Told, Verdict } from '#core/document';
import { isRecorded, putOff, summaryOf, type Happening, type PourSummary } from '#core/record';
import { benchClock } from './clock';
import { db } from './db';
import { pourTables, putPour, readPour, summarize } from './studio';

/** What a pour begins with: which coats of which pieces, what it was planned from, and what it is told. */
export interface Starting extends Pick<Pour, 'roomC'> {
  of: PouredCoats[];
  planned: Planned;
  told: Told;
}

const unplanned = ({ pourAt: _, ...piece }: Piece): Piece => piece;

const lays = (pour: Pick<Pour, 'of'>, of: PouredCoats[]): boolean =>
  pour.of.some((o) => of.some((p) => p.pieceId === o.pieceId && p.coatIds.some((id) => o.coatIds.includes(id))));

/** Pours that were begun and neither ended nor given up. */
const underWay = (): Promise<PourSummary[]> => db.summaries.filter(({ done, abandoned }) => done === undefined && !abandoned).toArray();

/** Whether any pour is under way. */
export const isPouring = async (): Promise<boolean> => (await underWay()).length > 0;

/**
 * Starts a pour; gives back its id, or that of the one that already lays these coats. All it needs is stored with it, so
 * that no later edit or version changes the record.
 */
export function startPour({ of, planned, told, roomC }: Starting): Promise<string> {
  return db.transaction('rw', [...pourTables, db.pieces], async () => {
    const running = await underWay();
    const same = running.find((pour) => lays(pour, of));
    if (same) return same.id;
    if (!running.length) benchClock.reset();
    const now = new Date(benchClock.now());
    let id = `pour-${now.getTime().toString(36)}`;
    while (await db.pours.get(id)) id += 'x';
    await putPour({ id, of, planned, told, startedAt: now.toISOString(), roomC, events: [] });
    // the planned moment has come; it would stand on the tide line twice
    for (const { pieceId } of of) {
      const piece = await db.pieces.get(pieceId);
      if (piece?.pourAt) await db.pieces.put(unplanned(piece));
    }
    return id;
  });
}

/** A pour that is not there any more: what happens cannot be kept with it. */
export class GoneError extends Error {}

/**
 * A coat that was put off at the bench becomes a pour of its own on its piece, so that the calendar plans it; taken back, it
 * stands as the pour was planned from it.
 */
async function syncPutOff({ planned, ...pour }: Pour, off: Told['coats']): Promise<void> {
  for (const own of planned.pieces) {
    const coats = pour.told?.coats.filter((c) => c.piece === own.id) ?? [];
    const piece = await db.pieces.get(own.id);
    if (!piece) continue;
    // the lowest of those put off begins the new session, and those over it stay joined to it
    const first = piece.coats.find((c) => off.some((o) => o.piece === own.id && o.coat === c.id));
    const next = piece.coats.map((coat) => {
      if (!coats.some((c) => c.coat === coat.id)) return coat;
      const before = own.coats.find((c) => c.id === coat.id);
      return { ...coat, samePour: coat === first ? false : (before?.samePour ?? coat.samePour) };
    });
    if (next.some((c, i) => c.samePour !== piece.coats[i]!.samePour)) await db.pieces.put({ ...piece, coats: next });
  }
}

async function add(pourId: string, happening: Happening, at = benchClock.now()): Promise<number | undefined> {
  const pour = await readPour(pourId);
  if (!pour)
    throw new GoneError(
      'This pour is not in the studio any more: another window has put another studio in its place. Nothing was recorded.',
    );
  const seq = (pour.events.at(-1)?.seq ?? 0) + 1;
  const event = { ...happening, seq, at: new Date(at).toISOString() } as PourEvent;
  if (isRecorded(event, pour.events)) return undefined;
  await db.events.add({ ...event, pourId });
  const now = { ...pour, events: [...pour.events, event] };
  await db.summaries.put(summaryOf(now));
  const off = putOff(now);
  if (off.length || putOff(pour).length) await syncPutOff(now, off);
  return seq;
}

/**
 * Adds an event to a pour, at this moment of the bench's clock or at the one it happened; one that stands already is not
 * added twice. It is on the disk when the promise resolves; nothing is ever changed or removed.
 * @param at ms since 1970
 * @returns its number; undefined where it stood already
 */
export const record = (pourId: string, happening: Happening, at?: number): Promise<number | undefined> =>
  db.transaction('rw', [...pourTables, db.pieces], () => add(pourId, happening, at));

/** Gives a pour up, with a reason: its pieces stand as before, with the moment they were planned for. */
export function abandonPour(pourId: string, why: string): Promise<void> {
  return db.transaction('rw', [...pourTables, db.pieces], async () => {
    await add(pourId, { kind: 'abandoned', why });
    const pour = await db.pours.get(pourId);
    for (const { id, pourAt } of pour?.planned.pieces ?? []) {
      const piece = await db.pieces.get(id);
      if (piece && pourAt && !piece.pourAt) await db.pieces.put({ ...piece, pourAt });
    }
  });
}

/** How a piece of a pour came out, field by field: what is given anew, what is undefined is left out. */
export const setOutcome = (
  pourId: string,
  pieceId: string,
  change: (outcome: Outcome) => { [K in keyof Outcome]: Outcome[K] | undefined },
): Promise<void> =>
  db.transaction('rw', pourTables, async () => {
    const pour = await db.pours.get(pourId);
    if (!pour) throw new GoneError('This pour is not in the log any more: another window has put another studio in its place.');
    const all = pour.outcomes ?? [];
    const was = all.find((o) => o.pieceId === pieceId) ?? { pieceId };
    const now = Object.fromEntries(Object.entries(change(was)).filter(([, v]) => v !== undefined)) as Outcome;
    const outcomes = [...all.filter((o) => o.pieceId !== pieceId), now].sort((a, b) => (a.pieceId < b.pieceId ? -1 : 1));
    await db.pours.update(pourId, { outcomes });
    await summarize(pourId);
  });

/** How a finished pour came out. */
export const judge = (pourId: string, judgement: { verdict?: Verdict; note?: string }): Promise<void> =>
  db.transaction('rw', pourTables, async () => {
    await db.pours.update(pourId, judgement);
    await summarize(pourId);
  });
