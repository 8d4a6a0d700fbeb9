import type { HandMove, ScaleReading } from '#core/simulate';

export type { HandMove, ScaleReading };

/** A scale as the app sees one, whatever stands behind it. */
export interface Scale {
  name: string;
  /** Begins to read. @returns ends it */
  open: (onreading: (reading: ScaleReading) => void, onlost: (says: string) => void) => () => void;
  tare: () => Promise<void>;
}

/** A simulated scale, with the hand that pours onto it. */
export interface HandScale extends Scale {
  move: (move: HandMove) => Promise<void>;
}
