import type { PourEvent } from '#core/document';

/** An event without the number and the moment the store gives it. */
export type Happening = PourEvent extends infer E ? (E extends PourEvent ? Omit<E, 'seq' | 'at'> : never) : never;
