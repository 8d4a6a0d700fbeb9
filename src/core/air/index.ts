/** Air over the hours, and civil time: what a film feels, and what the clock on the wall shows. */
export { roomAt, steady, warmer, type Air } from './air';
export { Climate } from './climate';
export { byTheHour, daysWith, readingsOf, type AirAt } from './days';
export { DAMP, dewPoint, humidityAt } from './damp';
export { sayDay, sayMoment } from './said';
export { Zone } from './zone';
