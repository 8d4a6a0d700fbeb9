import type { Range } from '#core/units';

/** What the document accepts: the bounds of the schema and of every field that feeds it, in internal units. */
export const limits = {
  /** Side or diameter of a piece, mm. */
  side: { min: 20, max: 3000 },
  /** Thickness of a board, mm. */
  thickness: { min: 1, max: 100 },
  /** Rounding of a corner, mm. */
  corner: { min: 0, max: 1500 },
  /** How far the rim of a slice strays, a share of its radius. */
  uneven: { min: 0, max: 0.15 },
  /** A hole across, mm. */
  hole: { min: 1, max: 500 },
  /** Shaft and hole of a clock, mm. */
  shaft: { min: 1, max: 100 },
  /** What a hanger carries, kg. */
  hanger: { min: 0.1, max: 200 },
  /** A dressing across and high, mm. */
  dressing: { min: 1, max: 300 },
  dressingHeight: { min: 0, max: 100 },
  /** A place on the drawing, mm. */
  place: { min: -6000, max: 6000 },
  /** A band or strip from the shore, mm. */
  strip: { min: 0, max: 3000 },
  /** A coat kept back from the rim, mm. */
  inset: { min: 0, max: 200 },
  /** Texture under the resin, mm. */
  relief: { min: 0.1, max: 30 },
  /** Between pieces in a row, mm. */
  gap: { min: 0, max: 500 },
  /** How far sand thins out, mm. */
  taper: { min: 0, max: 300 },
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
  /** One step of preparation with its wait, min. */
  preparation: { min: 0, max: 24000 },
  /** Reach of the foam, mm. */
  reach: { min: 0, max: 300 },
  /** Reading step of a scale, g. */
  scaleStep: { min: 0.001, max: 10 },
  /** Spare share of a coat. */
  spare: { min: 0, max: 0.5 },
  /** Density, g/ml. */
  density: { min: 0.5, max: 3 },
  /** What a cup or a mould holds, ml. */
  vessel: { min: 1, max: 20000 },
  /** Additive in a cup of white, drops. */
  additiveDrops: { min: 0, max: 20 },
  /** Margin, as a share of the cost. */
  margin: { min: 0, max: 5 },
  /** OKLab lightness. */
  lightness: { min: 0.02, max: 0.98 },
  /** Turn of the hue along a slope, degrees. */
  turn: { min: 0, max: 180 },
  /** Cups of a slope; a sea has as many parts at most. */
  slopeCups: { min: 2, max: 8 },
  /** What drips off a metre of open edge, ml. */
  drip: { min: 0, max: 60 },
  /** Mix a data sheet's times are stated for, g; 0 for a film. */
  statedMass: { min: 0, max: 5000 },
  /** Least that is mixed at once, g. */
  smallestMix: { min: 0, max: 1000 },
  /** Mixings of one session. */
  mixings: { min: 1, max: 40 },
  /** Least in a cup, ml. */
  smallestCup: { min: 0, max: 200 },
  /** White mixed for each of white wanted. */
  whiteFactor: { min: 1, max: 5 },
  /** How fast a cup is laid, ml a minute. */
  layRate: { min: 5, max: 5000 },
} satisfies Record<string, Range>;
