import { proxy } from 'comlink';
import type { Because, Calendar, FirstDates, Suggestion } from '#core/calendar';
import type { CalendarWork, When } from './calendar.worker';
import { kept, task, type Progress, type Task } from './task';

export type { When } from './calendar.worker';

const make = (): Worker => new Worker(new URL('./calendar.worker.ts', import.meta.url), { type: 'module' });

/** The studio's days, planned beside the screen, and a plan that can be asked about. */
export interface Days {
  /** Plans what is stored. @param tells how far it has come, 0 to 1 */
  plan: (when: When, tells: (share: number) => void) => Promise<Calendar | undefined>;
  /** How all would lie with one thing held elsewhere. */
  trial: (operation: string, at: number) => Promise<Calendar | undefined>;
  because: (id: string) => Promise<Because | undefined>;
  beginBy: (pieceId: string, due: number) => Promise<{ id: string; says: string; at?: number }[]>;
  end: () => void;
}

/** A worker that plans the studio's days, and keeps the plan. End it when nothing shows it. */
export function calendarWork(): Days {
  const { work, end } = kept<CalendarWork>(make);
  return {
    plan: (when, tells) =>
      work.plan(
        when,
        proxy((_: string, share = 0) => tells(share)),
      ),
    trial: (operation, at) => work.trial(operation, at),
    because: (id) => work.because(id),
    beginBy: (pieceId, due) => work.beginBy(pieceId, due),
    end,
  };
}

/** When a piece could be promised for, in a worker of its own, so that it can be stopped. */
export const firstDatesOf = (when: When, pieceId: string, tells: Progress): Task<FirstDates> =>
  task<CalendarWork, FirstDates>(make, (work, tell) => work.firstDates(when, pieceId, tell), tells);

/** What would have to give for a promise, in a worker of its own, so that it can be stopped. */
export const suggestionsOf = (when: When, pieceId: string, tells: Progress): Task<Suggestion[]> =>
  task<CalendarWork, Suggestion[]>(make, (work, tell) => work.suggestions(when, pieceId, tell), tells);
