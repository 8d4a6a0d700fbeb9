import type { Fault } from '#core/document';
import { board } from './board';
import type { Cause } from './cause';
import { mixing } from './mixing';
import { surface } from './surface';
import { white } from './white';

export type { Cause, Evidence } from './cause';

/** Everything that goes wrong, and its usual causes: the trade's table. */
export const causes: Record<Fault, readonly Cause[]> = { ...mixing, ...white, ...surface, ...board };
