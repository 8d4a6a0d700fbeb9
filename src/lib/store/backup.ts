import { db, keep, kept } from './db';

const DAY = 86_400_000;
/** Days after which a backup is old: what is lost since then could not be told again. */
export const OLD = 21;

/** How safe what is kept here is. */
export interface Safety {
  /** ms since 1970; undefined where none was made on this device. */
  last?: number;
  /** There is enough here that it would be missed: a pour that ended, or photographs. */
  worth: boolean;
  /** The last is older than three weeks, or what it is worth is. */
  isOld: boolean;
  /** Whether the browser promised not to throw it away by itself; undefined where it does not say. */
  durable?: boolean;
  /** Bytes used and left; undefined where the browser does not say. */
  used?: number;
  left?: number;
}

export async function readSafety(now: number): Promise<Safety> {
  const last = (await kept('backup'))?.at;
  const pours = await db.summaries.filter((s) => s.done !== undefined).toArray();
  const photos = await db.photos.toArray();
  const since = Math.min(...pours.map((s) => s.started), ...photos.map((p) => Date.parse(p.takenAt)));
  const worth = since < Infinity;
  const { quota, usage } = (await globalThis.navigator?.storage?.estimate?.()) ?? {};
  const durable = await globalThis.navigator?.storage?.persisted?.();
  return {
    ...(last !== undefined && { last }),
    worth,
    isOld: worth && now - (last ?? since) > OLD * DAY,
    ...(durable !== undefined && { durable }),
    ...(usage !== undefined && { used: usage }),
    ...(quota !== undefined && usage !== undefined && { left: Math.max(0, quota - usage) }),
  };
}

/** A backup was made just now. */
export const keepBackup = (at: number): Promise<unknown> => keep('backup', { at });

/** Asks the browser not to throw away what is kept here when it runs short of room. @returns its answer; undefined where it does not know the question */
export const askDurable = async (): Promise<boolean | undefined> => navigator.storage?.persist?.();
