/** What windows rest on that is mostly guessed: the air, what the data sheet states, what the models assume, when a hand finds it so. */
export const inputs = ['temperature', 'working', 'viscosity', 'ea', 'eMu', 'threshold'] as const;
export type Input = (typeof inputs)[number];

/**
 * How far off an input may be, one standard deviation: °C of the air, ln of the working time, ln of the fresh mix's
 * viscosity, kJ/mol of both activation energies, ln of a threshold of thickness.
 */
export type Doubts = Record<Input, number>;

/** Inputs moved from what they are held to be, in the units of their doubts. */
export type Shift = Partial<Doubts>;

/** A figure with how sure it is: four times in five it lies between `from` and `until`. */
export interface Likely {
  /** As it is planned. */
  middle: number;
  sigma: number;
  from: number;
  until: number;
  /** The input that is most of its doubt; undefined where it has none. */
  most?: Input;
}

/** Standard deviations on either side within which four of five lie. */
export const FOUR_OF_FIVE = 1.28;
/** Inputs are moved by this part of their doubt, to see what a figure does; the air to the cold side, where things may never come. */
const STEP = 0.01;
const wayOf = (input: Input): number => (input === 'temperature' ? -STEP : STEP);

/**
 * How sure several figures are that follow from the same inputs, by first-order propagation. One that never comes, or that
 * never comes once an input is a little off, is Infinity from there on.
 * Reference: 2.5 Pa·s for 0.9 Pa·s, working 45, in a film at 20 °C: 22.14 min, σ 5.98, 14.5–29.8.
 * @param of the figures with some inputs moved; the same keys every time
 */
export function likely<K extends string>(of: (shift: Shift) => Record<K, number>, doubts: Doubts): Record<K, Likely> {
  const middle = of({});
  const keys = Object.keys(middle) as K[];
  /** What one standard deviation of an input moves each figure by. */
  const moves = inputs
    .filter((input) => doubts[input] > 0)
    .map((input) => {
      const there = of({ [input]: wayOf(input) * doubts[input] });
      return { input, by: (key: K): number => (there[key] === middle[key] ? 0 : Math.abs(there[key] - middle[key]) / STEP) };
    });
  const one = (key: K): Likely => {
    const own = moves.map(({ input, by }) => ({ input, by: by(key) }));
    const sigma = Math.sqrt(own.reduce((sum, { by }) => sum + by ** 2, 0));
    const at = middle[key];
    if (!Number.isFinite(sigma)) return { middle: at, sigma: Infinity, from: at, until: Infinity };
    const most = own.reduce<{ input: Input; by: number } | undefined>((a, b) => (!a || b.by > a.by ? b : a), undefined);
    return {
      middle: at,
      sigma,
      from: Math.max(0, at - FOUR_OF_FIVE * sigma),
      until: at + FOUR_OF_FIVE * sigma,
      ...(most && most.by > 0 && { most: most.input }),
    };
  };
  return Object.fromEntries(keys.map((key) => [key, one(key)])) as Record<K, Likely>;
}
