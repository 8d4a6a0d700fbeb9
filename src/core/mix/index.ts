/** Amounts: from film and drawn lines to cups, to A and B by volume and weight, to drops and the load they make. */
export * from './film';
export * from './ratio';
export * from './load';
export * from './rounded';
export * from './vessel';
export * from './measured';
export * from './proportion';
