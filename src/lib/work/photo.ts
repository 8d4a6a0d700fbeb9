import type { PhotoWorkOf } from './photo.worker';
import { kept, type Kept } from './task';

export type { PhotoOpened } from './photo.worker';

/** A worker that holds one picture and reads it. End it when its screen is left. */
export const photoWork = (): Kept<PhotoWorkOf> => kept(() => new Worker(new URL('./photo.worker.ts', import.meta.url), { type: 'module' }));
