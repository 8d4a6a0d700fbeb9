/** Colour of tinted films: layers over a ground and their surface, even slopes and how they are built, pigments measured and matched. */
export * from './layer';
export * from './recipe';
export * from './ground';
export * from './screen';
export * from './differ';
export * from './hides';
export * from './counted';
export * from './slope';
export * from './build';
export * from './measure';
export * from './target';
export * from './card';
export * from './match';
