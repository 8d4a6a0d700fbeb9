import { advance, moved, newScale, shows, type HandMove, type ScaleReading, type SimulatedScale } from '#core/simulate';

/** Simulated scales on their benches, one for each browser window that asked for one; forgotten when nobody listens. */
interface Bench {
  scale: SimulatedScale;
  step: number;
  timer: ReturnType<typeof setInterval>;
  listeners: Set<(reading: ScaleReading) => void>;
}
const benches = new Map<string, Bench>();

const TICK = 100;
/** More than this many at once is not a studio. */
const MOST = 50;

/** Whether there is no room for this scale beside those that are read. */
export const isFull = (id: string): boolean => !benches.has(id) && benches.size >= MOST;

/** Listens to a scale, which is set up where there was none. @returns ends it */
export function listen(id: string, step: number, heard: (reading: ScaleReading) => void): () => void {
  let bench = benches.get(id);
  if (!bench) {
    const made: Bench = {
      scale: newScale(id.length * 7919 + id.charCodeAt(0)),
      step,
      listeners: new Set(),
      timer: setInterval(() => tick(made), TICK),
    };
    made.timer.unref();
    benches.set(id, (bench = made));
  }
  const own = bench;
  own.listeners.add(heard);
  heard(shows(own.scale, own.step));
  return () => {
    own.listeners.delete(heard);
    if (own.listeners.size) return;
    clearInterval(own.timer);
    benches.delete(id);
  };
}

function tick(bench: Bench): void {
  bench.scale = advance(bench.scale, TICK / 1000, bench.step);
  const reading = shows(bench.scale, bench.step);
  bench.listeners.forEach((heard) => heard(reading));
}

/** @returns false where nobody listens to that scale */
export function handle(id: string, move: HandMove): boolean {
  const bench = benches.get(id);
  if (bench) bench.scale = moved(bench.scale, move);
  return bench !== undefined;
}
