import type { Calendar, Session } from './calendar';

/** A session that begins at another time, came or went. Moments in ms since 1970. */
export interface Moved {
  session: Session;
  before?: number;
  after?: number;
}

/** What became otherwise from one plan to another. */
export interface Compared {
  /** In order of time; what follows another by itself is left out. */
  moved: Moved[];
  /** Promises whose day of being ready, or being kept, is another. */
  promises: { pieceId: string; before?: number; after?: number; kept: boolean; wasKept: boolean }[];
  /** Minutes of scuffs more, or fewer. */
  scuff: number;
}

const scuffs = ({ sessions }: Calendar): number => sessions.reduce((sum, s) => sum + s.scuff, 0);

/** Two plans by what changed. */
export function compare(before: Calendar, after: Calendar): Compared {
  const was = new Map(before.sessions.filter((s) => !s.follows).map((s) => [s.id, s]));
  const is = new Map(after.sessions.filter((s) => !s.follows).map((s) => [s.id, s]));
  const moved = [...new Set([...was.keys(), ...is.keys()])].flatMap((id): Moved[] => {
    const [a, b] = [was.get(id), is.get(id)];
    if (a && b && a.begins === b.begins) return [];
    return [{ session: (b ?? a)!, ...(a && { before: a.begins }), ...(b && { after: b.begins }) }];
  });
  moved.sort((a, b) => (a.after ?? a.before ?? 0) - (b.after ?? b.before ?? 0));
  const promises = after.lanes.flatMap(({ pieceId, promise }) => {
    const old = before.lanes.find((l) => l.pieceId === pieceId)?.promise;
    if (!promise || !old || (promise.ready === old.ready && promise.kept === old.kept)) return [];
    return [
      {
        pieceId,
        kept: promise.kept,
        wasKept: old.kept,
        ...(old.ready !== undefined && { before: old.ready }),
        ...(promise.ready !== undefined && { after: promise.ready }),
      },
    ];
  });
  return { moved, promises, scuff: scuffs(after) - scuffs(before) };
}
