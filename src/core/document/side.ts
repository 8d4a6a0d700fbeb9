import type { Side } from './schema';

/** On which hand of its shoreline's run a sea has its land. */
export const landOnRight = (side: Side): boolean => side === 'far' || side === 'right';
