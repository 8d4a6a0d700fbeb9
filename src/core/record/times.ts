import { isKnown, type Pour, type PourEvent, type Told } from '#core/document';
import { amended } from './amended';

/** When a pour did what, from its events alone. Moments in ms since 1970. */
export interface Times {
  /** Events that were not taken back, in order; those of a kind this version does not know are left out. */
  events: PourEvent[];
  started: number;
  /** When A and B of each batch met. */
  mixedAt: Map<number, number>;
  done?: number;
  /** It was given up, and counts as not poured. */
  abandoned?: { at: number; why: string };
}

/** When an event happened, ms since 1970. */
export const momentOf = (event: Pick<PourEvent, 'at'>): number => Date.parse(event.at);

/** Events that hold: those no later event took back. */
export function effective(events: PourEvent[]): PourEvent[] {
  const undone = new Set(events.flatMap((e) => (e.kind === 'undone' ? [e.undoes] : [])));
  return events.filter((e) => e.kind !== 'undone' && !undone.has(e.seq));
}

/** Events of a pour that this version does not know; they are kept and shown, and change nothing. */
export const unknownEvents = (pour: Pick<Pour, 'events'>): { seq: number; at: string; kind: string }[] =>
  pour.events.filter((event) => !isKnown(event));

/** When a pour did what, from its events that hold. */
export function timesOf(pour: Pick<Pour, 'events' | 'startedAt'>): Times {
  const events = effective(pour.events).filter(isKnown);
  const mixedAt = new Map<number, number>();
  for (const event of events) if (event.kind === 'mixed') mixedAt.set(event.batch, momentOf(event));
  const done = events.find((event) => event.kind === 'done');
  const given = events.find((event) => event.kind === 'abandoned');
  return {
    events,
    started: Date.parse(pour.startedAt),
    mixedAt,
    ...(done && { done: momentOf(done) }),
    ...(given?.kind === 'abandoned' && { abandoned: { at: momentOf(given), why: given.why } }),
  };
}

const untold: Told = { roomC: 0, coats: [], batches: [], cups: [], steps: [], supplies: [] };

/** What holds of what a pour was told, with all that was asked for at the bench. A pour of which nothing is known was told nothing. */
export const toldOf = ({ told, events }: Pick<Pour, 'told' | 'events'>): Told =>
  effective(events)
    .filter(isKnown)
    .reduce(amended, told ?? untold);
