import { from1, type Loose } from './ladder/from-1';
import { VERSION } from './version';

/** One step up from each version before this one. A step is frozen: what a version means does not change after it. */
const steps: Record<number, (studio: Loose) => Loose> = { 1: from1 };

/** A studio of any version before as it stands in this one, not yet checked: whatever is out of place in it stays where it was. */
export function climbed(studio: Loose): Loose {
  let now = studio;
  for (;;) {
    const { version } = now;
    const step = typeof version === 'number' && version < VERSION ? steps[version] : undefined;
    if (!step) return now;
    now = step(now);
  }
}
