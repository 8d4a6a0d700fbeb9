import type { CalendarWork } from './calendar.worker';
import { kept, task, type Kept, type Progress, type Task } from './task';
import type { FirstDates } from '#core/calendar';

export type { CalendarWork, When } from './calendar.worker';
import type { When } from './calendar.worker';

const make = (): Worker => new Worker(new URL('./calendar.worker.ts', import.meta.url), { type: 'module' });

/** A worker that plans the studio's days, and keeps the plan to be asked about. End it when nothing shows it. */
export const calendarWork = (): Kept<CalendarWork> => kept(make);

/** When a piece could be promised for, in a worker of its own, so that it can be stopped. */
export const firstDatesOf = (when: When, pieceId: string, tells: Progress): Task<FirstDates> =>
  task<CalendarWork, FirstDates>(make, (work, tell) => work.firstDates(when, pieceId, tell), tells);
