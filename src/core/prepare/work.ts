import { dryingOf, handsOn } from '#core/craft';
import type { Drying, Method } from '#core/document';

/** What may have to be done to a board before its resin, in the order it is done. */
export type WorkBefore =
  | 'take up'
  | 'double'
  | 'brace'
  | 'sand'
  | 'scuff'
  | 'clean'
  | 'gesso'
  | 'paint'
  | 'seal'
  | 'texture'
  | 'foil'
  | 'paint a ground'
  | 'cover holes'
  | 'close holes'
  | 'guard the back'
  | 'tape the rim'
  | 'dam the rim'
  | 'feel the wall'
  | 'glue dressings'
  | 'set up';

/** And after its last pour. */
export type WorkAfter =
  | 'pull the tape'
  | 'peel the tape'
  | 'take off the dam'
  | 'wipe drips'
  | 'wipe the wall'
  | 'free the back'
  | 'clear holes'
  | 'set out the dial'
  | 'hang';

export type WorkKey = WorkBefore | WorkAfter;

/** One thing to do to a board: how long hands are on it, how long it then waits, h, and what it comes after. */
export interface Work<K extends WorkKey = WorkKey> {
  key: K;
  hands: number;
  wait: number;
  /** Left out where it comes first, or first after the pour. */
  follows?: K;
}

/** Time of a kind of preparation, its wait included: what the studio says it takes, never less than the hands on it. h */
export function timeOf(method: Method, step: keyof Drying, times = 1): Pick<Work, 'hands' | 'wait'> {
  const hours = dryingOf(method)[step];
  const hands = Math.min(hours, handsOn[step] / 60);
  return { hands: times * hands, wait: times * (hours - hands) };
}

/** Work one after the other. */
export const inTurn = <K extends WorkKey>(list: Omit<Work<K>, 'follows'>[]): Work<K>[] =>
  list.map((work, i) => ({ ...work, ...(i > 0 && { follows: list[i - 1]!.key }) }));

/** Hours of one thing to do, or of several, waits included. */
export const hoursOf = (...works: Pick<Work, 'hands' | 'wait'>[]): number => works.reduce((sum, { hands, wait }) => sum + hands + wait, 0);
