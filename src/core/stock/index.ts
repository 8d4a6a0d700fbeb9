/** The shelf: what pours take from which container, what is left, what to buy, what it costs, and a price. */
export * from './item';
export * from './take';
export * from './ledger';
export * from './cost';
export * from './waste';
export * from './leftover';
export * from './buy';
export * from './quote';
export * from './shelf';
