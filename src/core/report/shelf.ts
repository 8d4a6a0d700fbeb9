import type { Zone } from '#core/air';
import { pricingOf } from '#core/craft';
import type { Studio } from '#core/document';
import type { PiecePlan } from '#core/plan';
import { summaryOf } from '#core/record';
import { comingPours, itemName, quoteOf, shelfOf, toBuy, type Ledger, type Quote } from '#core/stock';
import { meansOf, type Asked } from './means';
import { r } from './rounded';

/** The shelf after every finished pour, as every report of a studio reads it. */
const ledgerOf = (studio: Studio, zone: Zone): Ledger => shelfOf(studio.stock ?? [], studio.pours, studio, zone);

/** What a piece costs and asks for, rounded. */
export function quoteReport(plan: PiecePlan, studio: Studio, zone: Zone) {
  const quote: Quote = quoteOf(plan, ledgerOf(studio, zone), studio, pricingOf(studio.settings));
  return {
    currency: pricingOf(studio.settings).currency,
    materials: r(quote.materials),
    waste: r(quote.waste),
    hours: quote.hours.map((h) => ({ does: h.does, hours: r(h.hours) })),
    labour: r(quote.labour),
    overhead: r(quote.overhead),
    margin: r(quote.margin),
    price: r(quote.price),
    unpriced: quote.unpriced.map((t) => itemName(t.of, studio)),
  };
}

/** What is left in each container, and what the coming pours ask for. */
export function shelfReport(studio: Studio, { now, zone, planner }: Asked) {
  const shelf = ledgerOf(studio, zone);
  const needed = comingPours(studio.pieces, studio.pours.map(summaryOf), meansOf(studio), planner).flatMap((c) => c.taken);
  return {
    containers: shelf.lines.map(({ stock, left }) => ({
      what: itemName(stock.of, studio),
      container: stock.name,
      left: r(left),
      unit: stock.unit,
    })),
    short: shelf.short.map((s) => ({ what: itemName(s.of, studio), amount: r(s.amount), unit: s.unit, piece: s.piece })),
    toBuy: toBuy(needed, shelf, studio, zone.dayOf(now))
      .filter((b) => b.missing > 0)
      .map((b) => ({
        what: itemName(b.needed.of, studio),
        missing: r(b.missing),
        unit: b.needed.unit,
        ...(b.packs && { packs: b.packs.count, of: b.packs.stock.name, price: r(b.packs.price) }),
      })),
  };
}
