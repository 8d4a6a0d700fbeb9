import { advance, moved, newScale, shows, type HandMove, type ScaleReading, type SimulatedScale } from '#core/simulate';

/** Simulated scales, one for each browser window that asked for one; forgotten when nobody listens. */
interface HeardScale {
  scale: SimulatedScale;
  step: number;
  timer: ReturnType<typeof setInterval>;
  listeners: Set<(reading: ScaleReading) => void>;
}
const scales = new Map<string, HeardScale>();

const TICK = 100;
/** More than this many at once is not a studio. */
const MOST = 50;

/** Whether there is no room for this scale beside those that are read. */
export const isFull = (id: string): boolean => !scales.has(id) && scales.size >= MOST;

/** Listens to a scale, which is set up where there was none. @returns ends it */
export function listen(id: string, step: number, heard: (reading: ScaleReading) => void): () => void {
  let heardScale = scales.get(id);
  if (!heardScale) {
    const made: HeardScale = {
      scale: newScale(id.length * 7919 + id.charCodeAt(0)),
      step,
      listeners: new Set(),
      timer: setInterval(() => tick(made), TICK),
    };
    made.timer.unref();
    scales.set(id, (heardScale = made));
  }
  const own = heardScale;
  own.listeners.add(heard);
  heard(shows(own.scale, own.step));
  return () => {
    own.listeners.delete(heard);
    if (own.listeners.size) return;
    clearInterval(own.timer);
    scales.delete(id);
  };
}

function tick(heardScale: HeardScale): void {
  heardScale.scale = advance(heardScale.scale, TICK / 1000, heardScale.step);
  const reading = shows(heardScale.scale, heardScale.step);
  heardScale.listeners.forEach((heard) => heard(reading));
}

/** @returns false where nobody listens to that scale */
export function handle(id: string, move: HandMove): boolean {
  const heardScale = scales.get(id);
  if (heardScale) heardScale.scale = moved(heardScale.scale, move);
  return heardScale !== undefined;
}
