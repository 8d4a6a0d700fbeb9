/** Drawings in and out: outlines read from SVG, a piece written as SVG in real millimetres, and the pages of a template. */
export * from './svg-own';
export * from './svg-read';
export * from './svg-write';
export * from './pages';
export * from './csv';
export * from './shelf-csv';
export * from './cups-csv';
export * from './slope-csv';
export * from './palette-svg';
