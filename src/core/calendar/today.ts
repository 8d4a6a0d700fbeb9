import type { Airs } from '#core/cure';
import type { Piece } from '#core/document';
import type { Standing } from '#core/record';
import type { Calendar, Session } from './calendar';
import { freeIn, type Stretch } from './hours';

const [MINUTE, DAY] = [60_000, 86_400_000];
/** What begins within this is due now, ms; and what has ceased to be news. */
const [DUE, NEWS] = [20 * MINUTE, DAY];
/** A stretch that is worth telling, ms. */
const FREE = 120 * MINUTE;

/** A piece whose film is on its way. Ages in equivalent hours, moments in ms since 1970. */
export interface OnTable {
  piece: Piece;
  /** What it does now. */
  doing: 'pouring' | 'tacky' | 'open' | 'scuff first' | 'hardening' | 'hard';
  /** Age of its film, and the age at which the present ends: dry to the touch, no longer bonding, hard. */
  age: number;
  goal: number;
  /** When that comes. */
  at: number;
  /** When it may be touched, where it may not yet. */
  touch?: number;
  poured: number;
}

/** A window that closes. */
export interface Closing {
  pieceId: string;
  until: number;
  /** The last moment at which the coat can still be begun within the artist's hours; undefined where there is none. */
  last?: number;
}

/** What needs the artist: all that the first screen shows. */
export interface Today {
  /** What wants hands now, or next where nothing does. */
  first?: Session;
  dueNow: boolean;
  /** How long it can wait by its own film. */
  until?: number;
  next: Session[];
  table: OnTable[];
  closing: Closing[];
  /** The next stretch of the artist's hours in which nothing is planned for two hours or more; ms since 1970. */
  free?: Stretch;
}

/** The last moment within the artist's hours at which so many minutes can still be begun, from one moment until another. */
function lastBegin(calendar: Calendar, from: number, until: number, minutes: number): number | undefined {
  const lasts = freeIn(calendar)
    .map((p) => ({ begins: Math.max(p.from, from), last: Math.min(p.until - minutes * MINUTE, until) }))
    .flatMap(({ begins, last }) => (last >= begins ? [last] : []));
  return lasts.length ? Math.max(...lasts) : undefined;
}

/** A piece whose film is not yet hard, or has only just become so. */
function onTable({ piece, pours, open, curing, next }: Standing, airs: Airs, now: number): OnTable[] {
  const last = open ?? pours.findLast((p) => p.done !== undefined);
  if (!last?.cures) return [];
  const { resin, room, method } = last.cures;
  const age = airs.line(room, resin.refC, method.activationEa).between(last.mixed, Math.max(now, last.mixed)) / 60;
  const common = { piece, age, poured: last.started };
  if (open) return [{ ...common, doing: 'pouring', goal: resin.recoatFromH, at: now }];
  if (!curing || now > curing.fullCure + NEWS) return [];
  const { recoatFrom, bondUntil, handle, fullCure } = curing;
  const touch = now < handle ? { touch: handle } : {};
  if (now < recoatFrom) return [{ ...common, ...touch, doing: 'tacky', goal: resin.recoatFromH, at: recoatFrom }];
  if (next && now < bondUntil) return [{ ...common, ...touch, doing: 'open', goal: resin.bondUntilH, at: bondUntil }];
  if (next) return [{ ...common, ...touch, doing: 'scuff first', goal: resin.fullCureH, at: fullCure }];
  return [{ ...common, ...touch, doing: now < fullCure ? 'hardening' : 'hard', goal: resin.fullCureH, at: fullCure }];
}

/** What needs the artist now, what comes next, what is on the table and which windows close. */
export function todayOf(calendar: Calendar, standings: readonly Standing[], airs: Airs, now: number): Today {
  const coming = calendar.sessions.filter((s) => s.until > now);
  const [first] = coming;
  const table = standings.flatMap((s) => onTable(s, airs, now)).sort((a, b) => b.poured - a.poured);
  const closing = standings.flatMap(({ piece, next, curing, open }): Closing[] => {
    if (!next || open || !curing || now >= curing.bondUntil || curing.bondUntil > now + 2 * DAY) return [];
    const pour = coming.find((s) => s.kind === 'pour' && s.pieceIds.includes(piece.id));
    const last = lastBegin(calendar, Math.max(now, curing.recoatFrom), curing.bondUntil, pour ? (pour.until - pour.begins) / MINUTE : 30);
    return [{ pieceId: piece.id, until: curing.bondUntil, ...(last !== undefined && { last }) }];
  });
  const free = freeIn({ hours: calendar.hours, busy: [...calendar.busy, ...calendar.sessions] }).find(
    (f) => f.until - Math.max(f.from, now) >= FREE,
  );
  const own = first && closing.find((c) => first.kind === 'pour' && first.pieceIds.includes(c.pieceId));
  return {
    ...(first && { first }),
    dueNow: first !== undefined && first.from <= now + DUE,
    ...(own && { until: own.until }),
    next: coming.slice(1).filter((s) => s.from < now + 3 * DAY),
    table,
    ...(free && { free }),
    closing: closing.sort((a, b) => a.until - b.until),
  };
}
