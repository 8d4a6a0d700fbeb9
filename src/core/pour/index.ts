/** The plan a pour is told: what is mixed, filled and done when, kept whole, and the words it is said in. */
export * from './tell';
export * from './words';
export * from './contents';
export * from './boards';
export * from './older';
export * from './clock';
export * from './session-figures';
export * from './weights';
export * from './weigh-lines';
export * from './weighing';
