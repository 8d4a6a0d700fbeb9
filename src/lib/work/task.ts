import { proxy, wrap, type Remote } from 'comlink';

/** Makes a worker. The address must stand where it is made, as `new URL('./x.worker.ts', import.meta.url)`, to be found by the build. */
type Make = () => Worker;

/** How far some work has come: what is being done, and a share of 1 where that is known. */
export type Progress = (doing: string, share?: number) => void;

/** A worker that is kept, with what it has read, until its screen is left. */
export interface Kept<W> {
  work: Remote<W>;
  end: () => void;
}

/** Makes a worker that is kept until it is ended. @param died is told when it ended by itself */
export function kept<W>(make: Make, died?: () => void): Kept<W> {
  const worker = make();
  if (died) worker.addEventListener('error', died);
  return { work: wrap<W>(worker), end: () => worker.terminate() };
}

/** Some work under way in a worker of its own. */
export interface Task<T> {
  /** What came of it; undefined where it was stopped. */
  done: Promise<T | undefined>;
  /** Ends it at once. */
  stop: () => void;
}

/**
 * Does one thing in a worker of its own, which ends with it.
 * @param run    what is asked of the worker; it is handed a teller that may cross to it
 * @param tells  is told how far it has come
 */
export function task<W, T, P extends (...told: never[]) => void = Progress>(
  make: Make,
  run: (work: Remote<W>, tell: P) => Promise<T>,
  tells?: P,
): Task<T> {
  const { work, end } = kept<W>(make);
  let stop = end;
  const stopped = new Promise<undefined>((resolve) => (stop = () => resolve(undefined)));
  const teller = proxy(tells ?? ((() => undefined) as unknown as P));
  return { done: Promise.race([run(work, teller), stopped]).finally(end), stop: () => stop() };
}
