import type { Method, Resin, Room } from '#core/document';
import type { Airs } from '#core/cure';

/** What a piece is doing on the tide line. */
export type Doing = 'prepare' | 'pour' | 'tacky' | 'recoat' | 'scuff' | 'cure';

/** A stretch of a piece's days; moments in ms since 1970. */
export interface Stretch {
  doing: Doing;
  from: number;
  until: number;
  planned: boolean;
}

/** A pour as it lies; moments in ms since 1970. */
export interface Lying {
  /** A and B of its last batch met. */
  mixed: number;
  /** Session started and ended. */
  started: number;
  done: number;
  curing: Curing;
  /** No coat comes after it. */
  last: boolean;
  planned: boolean;
}

/** Moments of a curing film in the room's own day and night, ms since 1970; Infinity where they do not come within 60 days. */
export interface Curing {
  recoatFrom: number;
  bondUntil: number;
  handle: number;
  fullCure: number;
}

/** A film that cures: when A and B met, of what resin, in which room. */
export interface Film {
  mixed: number;
  resin: Resin;
  room: Room;
  method: Pick<Method, 'activationEa'>;
}

/**
 * When a pour that lies is tacky no more, open, scuff-first and cured, in the air of its room as it was read and as it
 * usually is. Colder than its resin's lowest temperature a film gets on, but not to its full hardness.
 */
export function curingOf({ mixed, resin, room, method }: Film, airs: Airs): Curing {
  const line = airs.line(room, resin.refC, method.activationEa);
  const hardens = airs.line(room, resin.refC, method.activationEa, resin.lowestC);
  const when = (hours: number): number => line.momentOf(hours * 60, mixed);
  return {
    recoatFrom: when(resin.recoatFromH),
    bondUntil: when(resin.bondUntilH),
    handle: when(resin.handleH),
    fullCure: Math.max(when(resin.handleH), hardens.momentOf(resin.fullCureH * 60, mixed)),
  };
}

/**
 * A piece's pours as stretches in order of time: the session, tacky, then the recoat window and scuff-first, or after
 * the last coat the way to full cure. A later pour cuts off what the earlier one left open.
 */
export function stretchesOf(pours: Lying[]): Stretch[] {
  const ordered = [...pours].sort((a, b) => a.started - b.started);
  return ordered.flatMap((laid, i) => {
    const end = ordered[i + 1]?.started ?? Infinity;
    const { recoatFrom, bondUntil, fullCure } = laid.curing;
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
