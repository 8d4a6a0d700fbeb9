import {
  airShown,
  newThermometer,
  thermometerAfter,
  thermometerMoved,
  type AirMove,
  type AirShown,
  type SimulatedThermometer,
} from '#core/simulate';

/** Simulated thermometers, one for each browser window that asked for one; forgotten when nobody listens. */
interface Hung {
  own: SimulatedThermometer;
  timer: ReturnType<typeof setInterval>;
  listeners: Set<(shown: AirShown) => void>;
}
const hung = new Map<string, Hung>();

const TICK = 1000;
/** More than this many at once is not a studio. */
const MOST = 50;

/** Whether there is no room for this one beside those that are read. */
export const isFull = (id: string): boolean => !hung.has(id) && hung.size >= MOST;

/** Listens to a thermometer, which is hung up where there was none. @returns ends it */
export function listen(id: string, celsius: number, heard: (shown: AirShown) => void): () => void {
  let here = hung.get(id);
  if (!here) {
    const made: Hung = { own: newThermometer(celsius), listeners: new Set(), timer: setInterval(() => tick(made), TICK) };
    made.timer.unref();
    hung.set(id, (here = made));
  }
  const own = here;
  own.listeners.add(heard);
  const shown = airShown(own.own);
  if (shown) heard(shown);
  return () => {
    own.listeners.delete(heard);
    if (own.listeners.size) return;
    clearInterval(own.timer);
    hung.delete(id);
  };
}

function tick(here: Hung): void {
  here.own = thermometerAfter(here.own, TICK / 1000);
  const shown = airShown(here.own);
  if (shown) here.listeners.forEach((heard) => heard(shown));
}

/** @returns false where nobody listens to that one */
export function handle(id: string, move: AirMove): boolean {
  const here = hung.get(id);
  if (here) here.own = thermometerMoved(here.own, move);
  return here !== undefined;
}
