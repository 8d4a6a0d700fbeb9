/** A whole piece planned at once: areas, coats, cups, batches, their clock, the steps at the bench and the colours. */
export * from './coats';
export * from './batch';
export * from './steps';
export * from './colours';
export * from './piece';
