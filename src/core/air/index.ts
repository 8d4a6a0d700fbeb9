/** Air over the hours, and civil time: what a film feels, and what the clock on the wall shows. */
export { roomAir, roomAt, steady, type Air } from './air';
export { Zone } from './zone';
