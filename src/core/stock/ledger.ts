import type { Zone } from '#core/air';
import type { Stock } from '#core/document';
import { densityOf, itemKey, turned, type Materials, type Taken } from './item';
import type { Usage } from './take';

/** One container, what was taken out of it, and what is left, in its own unit. */
export interface LedgerLine {
  stock: Stock;
  taken: { pourId: string; piece: string; at: number; amount: number }[];
  corrected: number;
  left: number;
}

/** What a pour took of something that no container held any more. */
export interface Short extends Taken {
  pourId: string;
  piece: string;
}

export interface Ledger {
  lines: LedgerLine[];
  short: Short[];
}

/** The container that is opened, then the one that expires first, then the oldest. */
export const inDrawingOrder = (a: Stock, b: Stock): number =>
  (a.opened ?? '9').localeCompare(b.opened ?? '9') ||
  (a.expires ?? '9').localeCompare(b.expires ?? '9') ||
  a.since.localeCompare(b.since) ||
  a.id.localeCompare(b.id);

/** Smaller than this is nothing left. */
const NOTHING = 1e-9;

/**
 * What is left in every container after all pours, oldest first. A pour draws only from what was on the shelf by its day;
 * what it takes beyond that is short, and no container goes below nothing because of it.
 */
export function ledger(stock: Stock[], uses: Usage[], materials: Materials, zone: Zone): Ledger {
  const lines = stock.map((item): LedgerLine => {
    const corrected = (item.corrections ?? []).reduce((sum, c) => sum + c.by, 0);
    return { stock: item, taken: [], corrected, left: item.size + corrected };
  });
  const byItem = new Map<string, LedgerLine[]>();
  for (const line of [...lines].sort((a, b) => inDrawingOrder(a.stock, b.stock)))
    byItem.set(itemKey(line.stock.of), [...(byItem.get(itemKey(line.stock.of)) ?? []), line]);
  const short: Short[] = [];
  for (const use of [...uses].sort((a, b) => a.at - b.at)) {
    const day = zone.dayOf(use.at);
    for (const { of, amount, unit } of use.taken) {
      let toDraw = amount;
      for (const line of byItem.get(itemKey(of)) ?? []) {
        if (line.stock.since > day || line.left <= NOTHING) continue;
        const density = densityOf(line.stock, materials);
        const inOwn = turned(toDraw, unit, line.stock.unit, density);
        if (inOwn === undefined) continue;
        const drawn = Math.min(inOwn, line.left);
        line.left -= drawn;
        line.taken.push({ pourId: use.pourId, piece: use.piece, at: use.at, amount: drawn });
        toDraw = turned(inOwn - drawn, line.stock.unit, unit, density)!;
        if (toDraw <= NOTHING) break;
      }
      if (toDraw > NOTHING) short.push({ of, amount: toDraw, unit, pourId: use.pourId, piece: use.piece });
    }
  }
  return { lines, short };
}
