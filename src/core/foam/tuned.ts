/**
 * What was set by eye and is the studio's own to correct: no photograph was fitted. Lengths in mm, times in s, viscosity in
 * Pa·s, stress in Pa, so that a mobility is 1/(Pa·s).
 */
export interface Tuned {
  /** Share of the traction that moves the film (χ), share of the return flow below it (c), slip on a clear barrier (1/mm of it). */
  drag: number;
  back: number;
  slip: number;
  /** Unevenness of a line by hand, of the air's gusts and of the film's mobility, as deviations of a logarithm or a share. */
  rough: number;
  gusts: number;
  uneven: number;
  /** White stirred into the tint: its rate, the strain at which it sets in (1/s), how deep it takes white (mm), and at rest (Pa). */
  stir: number;
  stirAt: number;
  stirDepth: number;
  sink: number;
  /** White at which cells stop opening (wc) and under which it is a veil (wmin), mm. */
  closedAt: number;
  veil: number;
  /** Cells born, Pa/mm², and the powers of thinness and thickness in it; how much a barrier adds. */
  born: number;
  thinPower: number;
  thickPower: number;
  barrierBorn: number;
  /** Cells' growth, mm·Pa; the warmth that doubles it, K; the viscosity at which the film holds them, Pa·s. */
  grow: number;
  warmth: number;
  holds: number;
  /** Radius a cell begins with and ends at, mm; spread of their growth, as a deviation of its logarithm. */
  smallest: number;
  largest: number;
  spread: number;
  /** Contact at which a cell stops growing, its rounding, mm·Pa, and how walls break, Pa. */
  block: number;
  round: number;
  burst: number;
  /** Seen: least wall, softness of its edge, height and length of the rim, mm, and what stays inside a cell. */
  wall: number;
  soft: number;
  rim: number;
  rimLength: number;
  rest: number;
  /** Scorch: the skin's temperature at which it takes a second, °C, and its activation energy, kJ/mol. */
  scorchC: number;
  scorchEa: number;
}

export const tuned: Tuned = {
  drag: 0.4,
  back: 0.65,
  slip: 2,
  rough: 0.28,
  gusts: 0.45,
  uneven: 0.22,
  stir: 0.012,
  stirAt: 26,
  stirDepth: 0.1,
  sink: 0.0025,
  closedAt: 0.26,
  veil: 0.006,
  born: 0.0034,
  thinPower: 1,
  thickPower: 2,
  barrierBorn: 1,
  grow: 0.018,
  warmth: 5,
  holds: 2.2,
  smallest: 0.2,
  largest: 4.8,
  spread: 0.55,
  block: 0.62,
  round: 0.01,
  burst: 5e-4,
  wall: 0.16,
  soft: 0.1,
  rim: 0.5,
  rimLength: 0.45,
  rest: 0.1,
  scorchC: 150,
  scorchEa: 100,
};

/** A cell additive, as it was guessed: four times the cells, growing faster. */
export const withAdditive = (t: Tuned): Tuned => ({ ...t, born: t.born * 4, grow: t.grow * 1.6 });
