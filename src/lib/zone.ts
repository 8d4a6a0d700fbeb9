import { Zone } from '#core/air';

/** Civil time where this browser is. */
export const zone = new Zone(Intl.DateTimeFormat().resolvedOptions().timeZone);
