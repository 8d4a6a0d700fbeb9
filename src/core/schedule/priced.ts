import { Moments } from './ages';
import { putBest } from './chain';
import { Occupied } from './occupied';
import type { Problem, Step } from './problem';

/**
 * Jobs of a problem each by itself, where every slot of hands has a price besides. Prices that make all jobs together want no slot
 * twice tell what no plan can cost less than (Lagrangian relaxation of the hands).
 */
export class Priced {
  readonly #moments: Moments;

  constructor(readonly problem: Problem) {
    this.#moments = new Moments(problem);
  }

  /**
   * The least a job costs with the prices; its cost without them, and where its hands would be.
   * @param prices by slot, 0 or more
   */
  alone(number: number, prices: Float64Array): { cost: number; steps: Step[] } | undefined {
    const dear = new Float64Array(prices.length + 1);
    for (let t = 0; t < prices.length; t++) dear[t + 1] = dear[t]! + prices[t]!;
    return putBest(number, new Occupied(this.problem, this.#moments), 0, dear);
  }
}
