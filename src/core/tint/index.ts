/** Colour of tinted films: layers over a ground, their surface, and what a screen shows of them. */
export * from './layer';
export * from './recipe';
export * from './ground';
export * from './screen';
export * from './hides';
