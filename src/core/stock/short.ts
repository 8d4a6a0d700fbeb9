import type { StockUnit } from '#core/document';
import { toBuy } from './buy';
import { itemName, type Materials } from './item';
import type { Ledger } from './ledger';
import type { Coming } from './shelf';

/** What pours of a piece want and the shelf has not. */
export interface Missing {
  pieceId: string;
  of: { name: string; more: number; unit: StockUnit }[];
}

/**
 * What of each piece the shelf is short of: what is there goes to the pours that come first. What no container was ever on the
 * shelf for is not counted there.
 * @param coming pours in the order they are poured
 * @param today  "2026-11-25", for what is past its date
 */
export function shortOf(coming: readonly Coming[], shelf: Ledger, materials: Materials, today: string): Missing[] {
  const missing = new Map<string, Missing>();
  /** What is missing already, by name, for the pours that come before. */
  const before = new Map<string, number>();
  coming.forEach(({ piece }, i) => {
    const taken = coming.slice(0, i + 1).flatMap((c) => c.taken);
    for (const buy of toBuy(taken, shelf, materials, today)) {
      const name = itemName(buy.needed.of, materials);
      const more = buy.missing - (before.get(name) ?? 0);
      if (more <= 0 || !buy.packs) continue;
      before.set(name, buy.missing);
      const own = missing.get(piece.id) ?? { pieceId: piece.id, of: [] };
      const same = own.of.find((o) => o.name === name);
      if (same) same.more += more;
      else own.of.push({ name, more, unit: buy.needed.unit });
      missing.set(piece.id, own);
    }
  });
  return [...missing.values()];
}
