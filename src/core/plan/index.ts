/** A whole piece planned at once: areas, coats, cups, batches, their clock, the steps, the colours, the heights and the weight. */
export * from './cups';
export * from './coats';
export * from './batch';
export * from './strain';
export * from './split';
export * from './together';
export * from './white';
export * from './weighing';
export * from './steps';
export * from './colours';
export * from './site';
export * from './laid';
export * from './heights';
export * from './piece';
export * from './section';
export * from './weight';
