import type { Side } from './schema';

export type Hand = 'right' | 'left';

/** On which hand of its run the shoreline of a sea has its land. */
export const landHand = (side: Side): Hand => (side === 'far' || side === 'right' ? 'right' : 'left');
