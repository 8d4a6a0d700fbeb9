import type { Stock } from '#core/document';
import { densityOf, itemKey, turned, type Materials, type Taken } from './item';
import type { Ledger } from './ledger';
import { summed } from './item';

/** One thing the coming pours need: how much is there, how much is missing, and the packs that cover it. */
export interface Buy {
  needed: Taken;
  /** In the unit it is needed in. */
  left: number;
  missing: number;
  /** The cheapest whole number of one known pack size; undefined where no container of it was ever on the shelf. */
  packs?: { stock: Stock; count: number; price: number };
}

/** @param needed what planned pours take, in the order they come */
export function toBuy(needed: Taken[], { lines }: Ledger, materials: Materials, today: string): Buy[] {
  return summed(needed).map((need): Buy => {
    const own = lines.filter((l) => itemKey(l.stock.of) === itemKey(need.of));
    const inNeeded = (amount: number, stock: Stock): number => turned(amount, stock.unit, need.unit, densityOf(stock, materials)) ?? 0;
    // what is past its date is not counted on
    const left = own.reduce((sum, l) => sum + (l.stock.expires && l.stock.expires < today ? 0 : inNeeded(Math.max(0, l.left), l.stock)), 0);
    const missing = Math.max(0, need.amount - left);
    const offers = own.flatMap(({ stock }) => {
      const size = inNeeded(stock.size, stock);
      if (size <= 0 || missing === 0) return [];
      const count = Math.ceil(missing / size - 1e-9);
      return [{ stock, count, price: count * stock.price, size: count * size }];
    });
    const best = offers.sort((a, b) => a.price - b.price || a.size - b.size)[0];
    return { needed: need, left, missing, ...(best && { packs: { stock: best.stock, count: best.count, price: best.price } }) };
  });
}
