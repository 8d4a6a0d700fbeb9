/** How moments, dates and colours are written in a file, where a format alone would let through what no calendar or clock has. */

/** In UTC, with a capital Z and no leap second, so that the same moment is always the same text. */
export const MOMENT = '^(19[7-9]|20\\d|21\\d)\\d-\\d\\d-\\d\\dT\\d\\d:\\d\\d:[0-5]\\d(\\.\\d{1,3})?Z$';
export const DATE = '^(19[7-9]|20\\d|21\\d)\\d-\\d\\d-\\d\\d$';
export const COLOUR = '^#[0-9a-f]{6}$';
