/** The studio document: its types, its bounds, and how it is opened from and written to a file. */
export type * from './schema';
export * from './limits';
export * from './defaults';
export * from './open';
export * from './problem';
export * from './write';
export * from './starting';
export * from './board';
export * from './move';
export * from './curves';
export * from './coats';
export * from './colourants';
export * from './boards';
export * from './drawn';
export * from './schools';
export * from './seas';
export * from './side';
export * from './supplies';
