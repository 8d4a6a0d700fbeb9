import type { Problem } from './problem';

/** Age gathered until a minute, straight within a slot. @param ages at each slot's beginning */
export function ageAt(ages: Float64Array, minute: number, slot: number): number {
  const at = Math.min(ages.length - 1, minute / slot);
  const i = Math.min(ages.length - 2, Math.floor(at));
  return ages[i]! + (ages[i + 1]! - ages[i]!) * (at - i);
}

/** The first minute at which a film that was laid at another has an age; Infinity where that is not before the end. */
export function momentOfAge(ages: Float64Array, age: number, laid: number, slot: number): number {
  if (age === Infinity) return Infinity;
  const wanted = ageAt(ages, laid, slot) + age;
  if (wanted > ages.at(-1)!) return Infinity;
  let [low, high] = [0, ages.length - 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (ages[middle]! < wanted) low = middle;
    else high = middle;
  }
  const over = ages[high]! - ages[low]!;
  return Math.max(laid, slot * (low + (over > 0 ? (wanted - ages[low]!) / over : 0)));
}

/** Moments of films laid at the end of an operation, for every slot it may begin in; each worked out once. */
export class Moments {
  readonly #kept = new Map<string, Float64Array>();

  constructor(readonly problem: Pick<Problem, 'ages' | 'slot' | 'slots'>) {}

  /**
   * By the slot an operation begins in, the minute at which the film laid at its end has an age.
   * @param minutes that it takes
   */
  of(film: number, room: number, age: number, minutes: number): Float64Array {
    const key = `${film} ${room} ${age} ${minutes}`;
    let moments = this.#kept.get(key);
    if (!moments) {
      const { slot, slots } = this.problem;
      const ages = this.problem.ages[film]![room]!;
      moments = new Float64Array(slots).fill(Infinity);
      const last = ages.at(-1)!;
      // later films come to an age later, so that each is looked for from where the one before it was found
      let high = 1;
      for (let s = 0; s < slots && age < Infinity; s++) {
        const laid = s * slot + minutes;
        const wanted = ageAt(ages, laid, slot) + age;
        if (wanted > last || laid > slots * slot) break;
        while (ages[high]! < wanted) high++;
        const over = ages[high]! - ages[high - 1]!;
        moments[s] = Math.max(laid, slot * (high - 1 + (over > 0 ? (wanted - ages[high - 1]!) / over : 0)));
      }
      this.#kept.set(key, moments);
    }
    return moments;
  }
}
