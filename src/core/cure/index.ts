/** The clock that temperature drives: equivalent age, thickness, the cup that warms itself, and the windows they open. */
export * from './rate';
export * from './viscosity';
export * from './cup';
export * from './stated';
export * from './windows';
