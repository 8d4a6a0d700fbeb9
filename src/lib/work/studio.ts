import type { Opened } from '#core/document';
import type { StudioWork } from './studio.worker';
import { task, type Progress, type Task } from './task';

const make = (): Worker => new Worker(new URL('./studio.worker.ts', import.meta.url), { type: 'module' });

/** Reads a studio's file aside, so that a large one does not hold up the screen. */
export const readStudioFile = (text: string, told: Progress): Task<Opened> =>
  task<StudioWork, Opened>(make, (work, tell) => work.open(text, tell) as Promise<Opened>, told);

/** Puts aside what is stored and cannot be read. @returns how many things that were */
export const checkStudio = async (): Promise<number> => (await task<StudioWork, number>(make, (work) => work.check()).done) ?? 0;
