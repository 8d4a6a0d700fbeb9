import type { Lesson } from '#core/learn';
import type { LearnWorkOf } from './learn.worker';
import { task, type Progress, type Task } from './task';

/** What the log teaches, worked out beside the screen. */
export const lessonsFromLog = (tells: Progress): Task<Lesson[]> =>
  task<LearnWorkOf, Lesson[]>(
    () => new Worker(new URL('./learn.worker.ts', import.meta.url), { type: 'module' }),
    (work, tell) => work.lessons(tell),
    tells,
  );
