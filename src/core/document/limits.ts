import type { Range } from '#core/units';

/** What the document accepts: the bounds of the schema and of every field that feeds it, in internal units. */
export const limits = {
  /** Side or diameter of a piece, mm. */
  side: { min: 20, max: 3000 },
  /** Thickness of a board, mm. */
  thickness: { min: 1, max: 100 },
  /** Height of a tray's wall above its floor, mm. */
  wall: { min: 1, max: 100 },
  /** Film of one coat, mm. */
  film: { min: 0.1, max: 50 },
  /** Air the resin cures in, °C. */
  room: { min: 5, max: 40 },
  /** Like pieces poured together. */
  count: { min: 1, max: 50 },
  /** Colourant as a fraction of A + B by weight. */
  load: { min: 0, max: 0.3 },
  /** Minutes after mixing. */
  minute: { min: 0, max: 600 },
  /** Reach of the foam, mm. */
  reach: { min: 0, max: 300 },
  /** Reading step of a scale, g. */
  scaleStep: { min: 0.001, max: 10 },
  /** Spare share of a coat. */
  spare: { min: 0, max: 0.5 },
  /** What drips off a metre of open edge, ml. */
  drip: { min: 0, max: 60 },
} satisfies Record<string, Range>;
