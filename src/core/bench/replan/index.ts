import type { Bench } from '../bench';
import { short } from './short';
import { cupSpent, heatSpent } from './spent';
import { behind, warmer } from './warm';
import type { Look, Replan, Saying } from './way';
import { whiteLate, whitePast } from './white';

export type { Changed, Replan, Saying, Way } from './way';

/** What is looked for, the most pressing first. */
const looks: Look[] = [heatSpent, cupSpent, whitePast, short, warmer, whiteLate, behind];

/**
 * The rest of a pour planned anew where it goes another way than told; undefined where it goes as told, or what there is to
 * offer was refused. Pure, and quick enough to be asked every second.
 */
export function replanOf(bench: Bench, said: Saying): Replan | undefined {
  const { session } = bench;
  if (!session.current || session.held !== undefined) return undefined;
  const refused = new Set(session.events.flatMap((e) => (e.kind === 'refused' ? [e.plan] : [])));
  let by: Replan | undefined;
  for (const look of looks) {
    const found = look(bench, said);
    if (!found || refused.has(found.name)) continue;
    if (found.urgent) return found;
    by ??= found;
  }
  return by;
}
