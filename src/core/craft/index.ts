/** What the craft knows: its schools, its materials, and the ordinary figures everything starts from. */
export * from './boards';
export * from './colourants';
export * from './dressings';
export * from './habits';
export * from './materials';
export * from './schools';
export * from './seas';
export * from './slopes';
export * from './studio';
export * from './tints';
export * from './ways';
export * from './turns';
