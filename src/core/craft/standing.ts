import type { Method } from '#core/document';

/** How a board stands and how it is heated, until the studio gives its own figures. */

/** How far a wave may have moved by morning before it is seen, mm. */
export const driftAllowed = ({ driftMm = 5 }: Pick<Method, 'driftMm'>): number => driftMm;

/** What a good spirit level still tells apart, degrees: finer no hand levels a board. */
export const READABLE_TILT = 0.05;

/** A pass of heat over one place: how long it feels it, s, and how hot its skin gets, °C. */
export const heatPass = ({
  heatSeconds = 10,
  heatC = 75,
}: Pick<Method, 'heatSeconds' | 'heatC'>): { seconds: number; celsius: number } => ({
  seconds: heatSeconds,
  celsius: heatC,
});

/** A board on its feet as most are set up: four near the corners, level. */
export const startingStands = { feet: 4, inset: 30, along: 0, across: 0 };

/**
 * What the bubble of an ordinary spirit level says, degrees: its lines stand as far from a centred bubble as a slope of
 * about 0.3°.
 */
export const bubbles = [
  { value: 'centred', label: 'in the middle', degrees: 0 },
  { value: 'nearer', label: 'nearer one line', degrees: 0.15 },
  { value: 'touching', label: 'touching a line', degrees: 0.3 },
  { value: 'over', label: 'half over a line', degrees: 0.6 },
  { value: 'end', label: 'at the end of the glass', degrees: 1.5 },
] as const;
export type Bubble = (typeof bubbles)[number]['value'];
