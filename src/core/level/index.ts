/** What gravity and surface tension do to a wet film. */
export * from './free-edge';
