import type { Figures } from '#core/foam';
import { overLucks, type OneLuck } from './lucks';

/** Whether to go on, and what one pass more would do, over several lucks. */
export interface Advice {
  stop: boolean;
  /** Reach it would add, mm; share of the white it would stir into the blue; share of the cells it would cost, less than 0 where it opens more. */
  reach: number;
  mist: number;
  cells: number;
  /** White it would take from the board's, as a share of what is white now. */
  contrast: number;
  /** Area a pass more would scorch, mm². */
  scorched: number;
}

/** Reach that is worth a pass, mm; mist, cells and white that are not worth losing for less. */
const [WORTH, MIST, CELLS, CONTRAST] = [3, 0.03, 0.12, 0.1];

/** What one more pass would do. @param wanted reach out to sea, mm */
export function advise(lucks: readonly OneLuck[], wanted: number): Advice {
  const now = overLucks(lucks.map((l) => l.left));
  const then = overLucks(lucks.map((l) => l.further));
  const number = (f: Figures): number => f.sizes.reduce((a, b) => a + b, 0);
  const count = (of: (l: OneLuck) => Figures): number => lucks.reduce((sum, l) => sum + number(of(l)), 0);
  const cells =
    1 -
    count((l) => l.further) /
      Math.max(
        1,
        count((l) => l.left),
      );
  const reach = then.reach.middle - now.reach.middle;
  const mist = then.mist.middle - now.mist.middle;
  const contrast = now.white.middle > 0 ? 1 - then.white.middle / now.white.middle : 0;
  const loses = mist > MIST || cells > CELLS || contrast > CONTRAST;
  const short = now.reach.middle < wanted - WORTH;
  return { stop: loses && !(short && reach >= WORTH), reach, mist, cells, contrast, scorched: then.scorched.middle - now.scorched.middle };
}
