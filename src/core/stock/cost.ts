import type { StockUnit } from '#core/document';
import { densityOf, itemKey, turned, type Materials, type Taken } from './item';
import { inDrawingOrder, type Ledger, type LedgerLine } from './ledger';

/** Money, and the things in it whose price nobody knows. */
export interface Cost {
  amount: number;
  unpriced: Taken[];
}

/**
 * Price of one unit of a thing: of the container it is drawn from next, else of the newest there was; undefined where
 * none is on the shelf in that unit.
 */
export function pricePer(of: Taken['of'], unit: StockUnit, { lines }: Ledger, materials: Materials): number | undefined {
  const own = lines.filter((l) => itemKey(l.stock.of) === itemKey(of)).sort((a, b) => inDrawingOrder(a.stock, b.stock));
  const line: LedgerLine | undefined = own.find((l) => l.left > 0) ?? own.sort((a, b) => b.stock.since.localeCompare(a.stock.since))[0];
  if (!line) return undefined;
  const one = turned(1, unit, line.stock.unit, densityOf(line.stock, materials));
  return one === undefined ? undefined : (one * line.stock.price) / line.stock.size;
}

/** What some of the shelf costs, in the studio’s currency, and what of it has no price. */
export function costOf(taken: Taken[], shelf: Ledger, materials: Materials): Cost {
  const unpriced: Taken[] = [];
  const amount = taken.reduce((sum, t) => {
    const price = pricePer(t.of, t.unit, shelf, materials);
    if (price === undefined) unpriced.push(t);
    return sum + t.amount * (price ?? 0);
  }, 0);
  return { amount, unpriced };
}
