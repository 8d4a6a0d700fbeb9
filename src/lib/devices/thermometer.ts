import type { AirMove, AirShown } from '#core/simulate';

export type { AirMove, AirShown };

/** A thermometer as the app sees one, whatever stands behind it. */
export interface Thermometer {
  name: string;
  /** Begins to read. @returns ends it */
  open: (onreading: (shown: AirShown) => void, onlost: (says: string) => void) => () => void;
}

/** A simulated one, with the room round it. */
export interface HandThermometer extends Thermometer {
  move: (move: AirMove) => Promise<void>;
}

const LOST = 'The thermometer is silent. Its last reading stands; the room goes on as it usually is.';

/** The thermometer that ships with the app: it hangs on the server and streams its readings, as a real one would. */
export function simulatedThermometer(celsius: number): HandThermometer {
  const id = crypto.randomUUID();
  return {
    name: 'simulated thermometer',
    open(onreading, onlost) {
      const source = new EventSource(`/api/thermometer?id=${id}&celsius=${celsius}`);
      source.onmessage = (event) => onreading(JSON.parse(event.data as string) as AirShown);
      source.onerror = () => onlost(LOST);
      return () => source.close();
    },
    async move(move) {
      const answer = await fetch('/api/thermometer', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ id, ...move }),
      });
      if (!answer.ok) throw new Error(LOST);
    },
  };
}
