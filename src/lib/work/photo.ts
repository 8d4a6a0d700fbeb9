import { wrap, type Remote } from 'comlink';
import type { PhotoWorkOf } from './photo.worker';

export type { PhotoOpened } from './photo.worker';

/** A worker that holds one picture and reads it. End it when its screen is left. */
export function photoWork(): { work: Remote<PhotoWorkOf>; end: () => void } {
  const worker = new Worker(new URL('./photo.worker.ts', import.meta.url), { type: 'module' });
  return { work: wrap<PhotoWorkOf>(worker), end: () => worker.terminate() };
}
