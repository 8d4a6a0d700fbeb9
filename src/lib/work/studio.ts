import { proxy, wrap, type Remote } from 'comlink';
import type { Opened } from '#core/document';
import type { Progress, StudioWork } from './studio.worker';

function started(): { work: Remote<StudioWork>; end: () => void } {
  const worker = new Worker(new URL('./studio.worker.ts', import.meta.url), { type: 'module' });
  return { work: wrap<StudioWork>(worker), end: () => worker.terminate() };
}

/** A file being read in a worker of its own. */
export interface Reading {
  /** What was found; undefined where it was stopped. */
  opened: Promise<Opened | undefined>;
  stop: () => void;
}

/** Reads a studio's file aside, so that a large one does not hold up the screen. */
export function readStudioFile(text: string, told: Progress): Reading {
  const { work, end } = started();
  let stop = end;
  const stopped = new Promise<undefined>((resolve) => (stop = () => resolve(undefined)));
  const opened = Promise.race([work.open(text, proxy(told)) as Promise<Opened>, stopped]).finally(end);
  return { opened, stop: () => stop() };
}

/** Puts aside what is stored and cannot be read. @returns how many things that were */
export async function checkStudio(): Promise<number> {
  const { work, end } = started();
  try {
    return await work.check();
  } finally {
    end();
  }
}
