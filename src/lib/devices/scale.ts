import type { ScaleReading } from '#core/simulate';

export type { ScaleReading };

/** A scale as the app sees one, whatever stands behind it. */
export interface Scale {
  name: string;
  /** Begins to read. @returns ends it */
  open: (onreading: (reading: ScaleReading) => void, onlost: (says: string) => void) => () => void;
  tare: () => Promise<void>;
}

/** What a hand does at the simulated scale. */
export type HandMove = { does: 'tare' } | { does: 'pour'; rate: number } | { does: 'put'; grams: number };

/** A simulated scale, with the hand that pours onto it. */
export interface HandScale extends Scale {
  move: (move: HandMove) => Promise<void>;
}
