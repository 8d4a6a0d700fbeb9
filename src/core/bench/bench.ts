import { steady, type Air, type Climate } from '#core/air';
import type { PourEvent } from '#core/document';
import type { BatchClock, Planner } from '#core/plan';
import { benchAir, benchClockOf, lastBead } from '#core/pour';
import type { Session } from '#core/record';
import { MINUTE } from './minutes';

/** A pour at a moment, with its clocks as they run in the air that was measured. Moments in ms since 1970. */
export interface Bench {
  session: Session;
  now: number;
  planner: Planner;
  /** How warm it is at the bench now, °C. */
  celsius: number;
  /** What a mixing that began now would lie in. */
  air: Air;
  /** Whether it was read since the pour began, by hand or by a thermometer. */
  airRead: boolean;
  /** The clock of each mixing; undefined where its resin is not known any more. */
  clocks: (BatchClock | undefined)[];
}

/** How warm the bench was read by hand, in order of time: as the pour began, and since. */
function readings({ started, pour, events }: Pick<Session, 'started' | 'pour' | 'events'>): { at: number; celsius: number }[] {
  const read = events.flatMap((e: PourEvent) => (e.kind === 'bench' ? [{ at: Date.parse(e.at), celsius: e.celsius }] : []));
  return [{ at: started, celsius: pour.roomC }, ...read];
}

/** How fast a bench comes to what it was last read at, min: a thermometer is read when the change has been felt for a while. */
const CHANGES = 10;

/** Air at the bench by minutes after a moment, as it was read by hand: straight over the last minutes before each reading. */
function readAir(read: { at: number; celsius: number }[], from: number): Air {
  if (read.length === 1) return steady(read[0]!.celsius);
  const at = (ms: number): number =>
    read.reduce((celsius, r, i) => {
      if (i === 0) return r.celsius;
      const begins = Math.max(read[i - 1]!.at, r.at - CHANGES * MINUTE);
      const share = Math.min(1, Math.max(0, (ms - begins) / Math.max(1, r.at - begins)));
      return celsius + (r.celsius - celsius) * share;
    }, 0);
  return (min) => at(from + min * MINUTE);
}

/**
 * The bench of a pour now. Its air is as it was read by hand; where it was not, as the room's thermometer went; else as the
 * pour began.
 * @param climate of its room, where it is known
 * @param now     ms since 1970
 */
export function benchOf(session: Session, now: number, planner: Planner, climate?: Climate): Bench {
  const { pour, told, events, mixedAt, started } = session;
  const read = readings(session);
  const airFrom = (mixed: number): Air | undefined =>
    read.length > 1 ? readAir(read, mixed) : climate && benchAir(climate, pour.roomC, started, mixed, now);
  const measured = airFrom(now);
  const air = measured ?? steady(pour.roomC);
  const clocks = told.batches.map((_, number) => {
    const mixed = mixedAt.get(number);
    const bead = mixed === undefined ? undefined : lastBead(events, number, mixed);
    const own = mixed === undefined ? (read.length > 1 ? steady(air(0)) : undefined) : airFrom(mixed);
    return benchClockOf(pour, told, number, planner, { bead, ...(own && { air: own }) });
  });
  return { session, now, planner, celsius: air(0), air: steady(air(0)), airRead: measured !== undefined, clocks };
}
