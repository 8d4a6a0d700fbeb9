/** Quantities as people write them: read into mm, ml, g, °C and min at the edge, and written back. */
export * from './quantity';
export * from './read';
export * from './write';
export * from './ratio';
