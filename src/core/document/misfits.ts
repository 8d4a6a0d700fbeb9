import { lists, type List } from './lists';
import { problemsOf } from './open';
import { writeProblem, type Problem } from './problem';
import { VERSION } from './version';
import type { Colourant, Method, PourEvent, Resin, Room, Settings, Studio } from './schema';

/** Ordinary values that stand in for what cannot be read and cannot be left out. */
export interface StandIns {
  settings: Settings;
  method: Method;
  room: Room;
  resin: Resin;
  colourant: Colourant;
}

/** A studio as it was stored, before anything of it is trusted. */
export type Rows = Record<List, unknown[]> & { settings: unknown; method: unknown };

/** What does not fit the document: where it stands, what it is, and why, in sentences. */
export interface Misfit {
  from: List | 'settings' | 'method' | 'events';
  row: unknown;
  why: string[];
  /** Of an event: the pour it stands in. */
  of?: unknown;
}

/** Rows sorted into what fits, with settings, method and room for a start where their own do not, and what does not. */
export interface Sorted {
  studio: Studio;
  misfits: Misfit[];
  /** Whether nothing had to be taken out or put right. */
  sound: boolean;
}

/** More rounds than things can name each other in a row: a pour a piece, a piece a resin, the resin nothing. */
const ROUNDS = 12;

/** "/pieces/3/sea" → the list, the row in it, and what is wrong below. */
function placeOf({ path }: Problem): { from: string; index: number; rest: string } {
  const [, from = '', index = '', ...rest] = path.split('/');
  return { from, index: Number.parseInt(index, 10), rest: rest.join('/') };
}

/**
 * Sorts stored rows. What does not fit is taken out, and what names it next, until the rest is a studio that opens.
 * @throws Error where no end is found, which no data should come to
 */
export function sortOut(rows: Rows, standIns: StandIns): Sorted {
  const misfits: Misfit[] = [];
  // what is not there at all is named by its place too, as a thing of the wrong kind is
  let left: Rows = { ...rows, settings: rows.settings ?? null, method: rows.method ?? null };
  for (let round = 0; round < ROUNDS; round++) {
    const studio = { format: 'nerite-studio', version: VERSION, ...left };
    const problems = problemsOf(studio);
    if (!problems.length)
      return {
        studio: studio as Studio,
        sound: round === 0,
        misfits: misfits.map((m) => (m.from === 'settings' || m.from === 'method' ? { ...m, row: rows[m.from] } : m)),
      };
    const found = withoutMisfits(left, problems, standIns);
    misfits.push(...found.misfits);
    left = found.rows;
  }
  throw new Error('What is stored cannot be sorted out.');
}

function withoutMisfits(rows: Rows, problems: Problem[], standIns: StandIns): { rows: Rows; misfits: Misfit[] } {
  const next: Rows = { ...rows };
  const misfits: Misfit[] = [];
  const why = (from: string, index?: number): string[] => {
    const own = problems.filter((p) => {
      const place = placeOf(p);
      return place.from === from && (index === undefined || place.index === index);
    });
    return [...new Set(own.map(writeProblem))].slice(0, 6);
  };
  const room = rows.rooms.find((r): r is Room => typeof (r as Room | null)?.id === 'string') ?? standIns.room;
  for (const list of lists) {
    const bad = new Set(problems.map(placeOf).flatMap((p) => (p.from === list && !Number.isNaN(p.index) ? [p.index] : [])));
    if (!bad.size) continue;
    next[list] = rows[list].flatMap((row, i) => {
      if (!bad.has(i)) return [row];
      const events = list === 'pours' ? withoutEvents(row, i, problems) : undefined;
      if (events) {
        misfits.push(...events.misfits);
        return [events.row];
      }
      const place = standIn(list, row, standIns);
      misfits.push({
        from: list,
        row,
        why: [...why(list, i), ...(place.length ? ['Ordinary values stand in its place until you give its own.'] : [])],
      });
      return place;
    });
  }
  if (!next.rooms.length) next.rooms = [standIns.room];
  const settings = why('settings');
  // a room that is gone is no reason to lose the units
  const roomGone = settings.length > 0 && problems.every((p) => placeOf(p).from !== 'settings' || p.path === '/settings/roomId');
  if (roomGone) next.settings = { ...(rows.settings as Settings), roomId: room.id };
  else if (settings.length) {
    misfits.push({ from: 'settings', row: rows.settings, why: settings });
    next.settings = { ...standIns.settings, roomId: room.id };
  }
  const method = why('method');
  if (method.length) {
    misfits.push({ from: 'method', row: rows.method, why: method });
    next.method = standIns.method;
  }
  return { rows: next, misfits };
}

/** What stands in for a resin or a colourant, since the pieces that name it are not to go with it. */
function standIn(list: List, row: unknown, { resin, colourant }: StandIns): (Resin | Colourant)[] {
  const { id, name } = (row ?? {}) as { id?: unknown; name?: unknown };
  if (typeof id !== 'string' || !/^[a-z0-9][a-z0-9-]{0,63}$/.test(id)) return [];
  const named = { id, name: typeof name === 'string' && name ? name.slice(0, 80) : id };
  if (list === 'resins') return [{ ...resin, ...named }];
  return list === 'colourants' ? [{ ...colourant, ...named }] : [];
}

/** A pour without the events that do not fit, where nothing else in it is wrong; the others stay as they are. */
function withoutEvents(row: unknown, index: number, problems: Problem[]): { row: unknown; misfits: Misfit[] } | undefined {
  const own = problems.map((p) => ({ ...placeOf(p), says: writeProblem(p) })).filter((p) => p.from === 'pours' && p.index === index);
  const at = own.map((p) => /^events\/(\d+)/.exec(p.rest)?.[1]);
  if (at.includes(undefined)) return undefined;
  const { id, events } = row as { id: unknown; events: PourEvent[] };
  const bad = new Set(at.map(Number));
  return {
    row: { ...(row as object), events: events.filter((_, i) => !bad.has(i)) },
    misfits: [...bad].map((i) => ({
      from: 'events',
      of: id,
      row: events[i],
      why: own.filter((_, k) => at[k] === String(i)).map((p) => p.says),
    })),
  };
}
