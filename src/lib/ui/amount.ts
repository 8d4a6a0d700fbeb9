import type { StockUnit } from '#core/document';
import { plain } from '#core/units';

/** An amount of something on the shelf: "924 g", "0.9 ml", "1 piece". */
export const writeAmount = (value: number, unit: StockUnit): string =>
  unit === 'pieces'
    ? `${plain(value, 0)} ${Number(value.toFixed(0)) === 1 ? 'piece' : 'pieces'}`
    : `${plain(value, value >= 100 ? 0 : value < 10 ? 2 : 1)} ${unit}`;
