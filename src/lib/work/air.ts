import type { AirReadingFile } from '#core/formats';
import type { AirWork } from './air.worker';
import { task, type Task } from './task';

/** Reads a logger's CSV, so that a hundred thousand lines do not hold up the screen. @param monthFirst how 04/05 is meant where no line shows it */
export const readAirFile = (text: string, zone: string, monthFirst: boolean): Task<AirReadingFile> =>
  task<AirWork, AirReadingFile>(
    () => new Worker(new URL('./air.worker.ts', import.meta.url), { type: 'module' }),
    (work) => work.read(text, zone, monthFirst),
  );
