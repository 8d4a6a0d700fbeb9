import type { Stock } from '#core/document';
import { densityOf, itemKey, turned, type Materials, type Taken } from './item';
import type { Ledger } from './ledger';
import { summed } from './item';

/** One thing the coming pours want: how much is there, how much is missing, and the packs that cover it. */
export interface Buy {
  wanted: Taken;
  /** In the unit it is wanted in. */
  left: number;
  missing: number;
  /** The cheapest whole number of one known pack size; undefined where no container of it was ever on the shelf. */
  packs?: { stock: Stock; count: number; price: number };
}

/** @param wanted what planned pours take, in the order they come */
export function toBuy(wanted: Taken[], { lines }: Ledger, materials: Materials, today: string): Buy[] {
  return summed(wanted).map((want): Buy => {
    const own = lines.filter((l) => itemKey(l.stock.of) === itemKey(want.of));
    const inWanted = (amount: number, stock: Stock): number => turned(amount, stock.unit, want.unit, densityOf(stock, materials)) ?? 0;
    // what is past its date is not counted on
    const left = own.reduce((sum, l) => sum + (l.stock.expires && l.stock.expires < today ? 0 : inWanted(Math.max(0, l.left), l.stock)), 0);
    const missing = Math.max(0, want.amount - left);
    const offers = own.flatMap(({ stock }) => {
      const size = inWanted(stock.size, stock);
      if (size <= 0 || missing === 0) return [];
      const count = Math.ceil(missing / size - 1e-9);
      return [{ stock, count, price: count * stock.price, size: count * size }];
    });
    const best = offers.sort((a, b) => a.price - b.price || a.size - b.size)[0];
    return { wanted: want, left, missing, ...(best && { packs: { stock: best.stock, count: best.count, price: best.price } }) };
  });
}
