import type { Method, Resin, Room } from '#core/document';
import { minuteOfAge } from '#core/cure';
import { airAfter } from './air';

/** What a piece is doing on the tide line. */
export type Doing = 'prepare' | 'pour' | 'tacky' | 'recoat' | 'scuff' | 'cure';

/** A stretch of a piece's days; moments in ms since 1970. */
export interface Stretch {
  doing: Doing;
  from: number;
  until: number;
  planned: boolean;
}

/** A pour as its curing sees it. */
export interface Laid {
  /** A and B met. */
  mixed: number;
  /** Session started and ended. */
  started: number;
  done: number;
  resin: Resin;
  room: Room;
  method: Method;
  /** No coat comes after it. */
  last: boolean;
  planned: boolean;
}

/** Moments of a curing film in the room's own day and night, ms since 1970. */
export interface Curing {
  recoatFrom: number;
  bondUntil: number;
  handle: number;
  fullCure: number;
}

export function curingOf({ mixed, resin, room, method }: Laid, offsetMin: number): Curing {
  const air = airAfter(room, mixed, offsetMin);
  const when = (hours: number): number => mixed + 60_000 * minuteOfAge(hours * 60, air, resin.refC, method.activationEa);
  return {
    recoatFrom: when(resin.recoatFromH),
    bondUntil: when(resin.bondUntilH),
    handle: when(resin.handleH),
    fullCure: when(resin.fullCureH),
  };
}

/**
 * A piece's pours as stretches in order of time: the session, tacky, then the recoat window and scuff-first, or after
 * the last coat the way to full cure. A later pour cuts off what the earlier one left open.
 */
export function stretchesOf(pours: Laid[], offsetMin: number): Stretch[] {
  const ordered = [...pours].sort((a, b) => a.started - b.started);
  return ordered.flatMap((laid, i) => {
    const end = ordered[i + 1]?.started ?? Infinity;
    const { recoatFrom, bondUntil, fullCure } = curingOf(laid, offsetMin);
    const after: [Doing, number, number][] = laid.last
      ? [
          ['tacky', laid.done, recoatFrom],
          ['cure', recoatFrom, fullCure],
        ]
      : [
          ['tacky', laid.done, recoatFrom],
          ['recoat', recoatFrom, bondUntil],
          ['scuff', bondUntil, fullCure],
        ];
    const all: [Doing, number, number][] = [['pour', laid.started, laid.done], ...after];
    return all
      .map(([doing, from, until]) => ({ doing, from, until: Math.min(until, end), planned: laid.planned }))
      .filter((s) => s.until > s.from);
  });
}
