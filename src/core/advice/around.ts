import type { Piece } from '#core/document';
import type { Around } from './finding';

/** What of a standing says when a piece is poured next. */
interface Stands {
  piece: Piece;
  next?: { pour: number };
  curing?: { recoatFrom: number; fullCure: number };
}

/** Where and when a piece is poured next: on the day it has, or now, and not before what lies takes another coat. */
export function aroundOf({ piece, next, curing }: Stands, { airs, room, now }: Pick<Around, 'airs' | 'room' | 'now'>): Around {
  const open = curing && Number.isFinite(curing.recoatFrom) ? curing.recoatFrom : -Infinity;
  return {
    airs,
    room,
    now,
    at: Math.max(piece.pourAt ? Math.max(now, Date.parse(piece.pourAt)) : now, open),
    ...(next && { next: next.pour }),
    ...(curing && { fullCure: curing.fullCure }),
  };
}
