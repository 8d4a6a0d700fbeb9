import type { StockUnit } from '#core/document';
import { plain, type Writes } from '#core/units';

/** An amount of something on the shelf, in the studio's units: "924 g", "0.9 ml", "12 ft", "1 piece". */
export function writeAmount(value: number, unit: StockUnit, write: Writes): string {
  switch (unit) {
    case 'pieces':
      return `${plain(value, 0)} ${Number(value.toFixed(0)) === 1 ? 'piece' : 'pieces'}`;
    case 'm':
      return write.run(value * 1000);
    case 'ml':
      return write.volume(value);
    case 'g':
      return write.weight(value, value >= 100 ? 0 : value < 10 ? 2 : 1);
  }
}

/** What a unit of stock is called where it is chosen. */
export const unitLabel = (unit: StockUnit, { units }: Writes): string =>
  ({ g: units.weight, ml: units.volume, m: units.length === 'in' ? 'ft' : 'm', pieces: 'pieces' })[unit];
