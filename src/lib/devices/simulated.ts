import type { HandMove, HandScale, ScaleReading } from './scale';

const LOST = 'The scale is silent. Type what it shows, or try again.';

/** The scale that ships with the app: it stands on the server and streams its readings, as a real one would. */
export function simulatedScale(stepG: number): HandScale {
  const id = crypto.randomUUID();
  const move = async (what: HandMove): Promise<void> => {
    const answer = await fetch('/api/scale', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id, ...what }),
    });
    if (!answer.ok) throw new Error(LOST);
  };
  return {
    name: 'simulated scale',
    open(onreading, onlost) {
      const source = new EventSource(`/api/scale?id=${id}&step=${stepG}`);
      source.onmessage = (event) => onreading(JSON.parse(event.data as string) as ScaleReading);
      source.onerror = () => onlost(LOST);
      return () => source.close();
    },
    tare: () => move({ does: 'tare' }),
    move,
  };
}
