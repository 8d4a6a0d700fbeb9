import { plain, type Writes } from '#core/units';
import type { Facts } from '../facts';

/** What of the record speaks for a cause or against it: a sentence, and by how much it makes it likelier, as a factor. */
export interface Evidence {
  says: string;
  odds: number;
}

/** One way a thing can have gone wrong. `tell` is what the hand or the eye can still look at to know. */
export interface Cause {
  id: string;
  says: string;
  /** How common it is beside the others of its fault, before anything is known. */
  usual: number;
  evidence: (facts: Facts, write: Writes) => (Evidence | undefined | false)[];
  tell: string;
}

/** Minutes as a sentence has them. */
export const min = (v: number): string => `${plain(Math.abs(v), 0)} min`;
/** For where it holds, against where it does not; nothing where it is not known. */
export const either = (known: boolean, holds: boolean, odds: number, yes: string, no: string): Evidence | undefined =>
  known ? { says: holds ? yes : no, odds: holds ? odds : 1 / odds } : undefined;

/** Whether something to be seen to before the first mixing was. */
export const passed = ({ passedOver, seenTo }: Facts, item: string, odds: number, says: string): Evidence | undefined => {
  const is = (list: string[]): boolean => list.some((i) => i.startsWith(item));
  if (is(passedOver)) return { says: `${says} was passed over before the first mixing.`, odds };
  return is(seenTo) ? { says: `${says} was seen to before the first mixing.`, odds: 1 / Math.sqrt(odds) } : undefined;
};
