import type { Pour, PourEvent } from '#core/document';

/** When a pour did what, from its events alone. Moments in ms since 1970. */
export interface Times {
  /** Events that were not taken back, in order. */
  events: PourEvent[];
  started: number;
  /** When A and B of each batch met. */
  mixedAt: Map<number, number>;
  done?: number;
}

export const momentOf = (event: PourEvent): number => Date.parse(event.at);

/** Events that stand: those no later event took back. */
export function standing(events: PourEvent[]): PourEvent[] {
  const undone = new Set(events.flatMap((e) => (e.kind === 'undone' ? [e.undoes] : [])));
  return events.filter((e) => e.kind !== 'undone' && !undone.has(e.seq));
}

export function timesOf(pour: Pour): Times {
  const events = standing(pour.events);
  const mixedAt = new Map<number, number>();
  for (const event of events) if (event.kind === 'mixed') mixedAt.set(event.batch, momentOf(event));
  const done = events.find((event) => event.kind === 'done');
  return { events, started: Date.parse(pour.startedAt), mixedAt, ...(done && { done: momentOf(done) }) };
}
