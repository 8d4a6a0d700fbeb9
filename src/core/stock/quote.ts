import { handsOnSeveral } from '#core/craft';
import type { Method, Pricing } from '#core/document';
import type { PiecePlan } from '#core/plan';
import { workAfter, workBefore, workBetween } from '#core/prepare';
import { costOf, type Cost } from './cost';
import type { Materials, Taken } from './item';
import type { Ledger } from './ledger';
import { takenByBatch, takenByBoard, takenByPour } from './take';
import { balanceOf, wasted } from './waste';

/** One line of work, hours. */
export interface Hours {
  does: string;
  hours: number;
}

/** What a piece costs to make and what to ask for it; money in the studio's currency. Never a word about what others ask. */
export interface Quote {
  board: Cost;
  pours: { name: string; cost: Cost }[];
  /** Materials of board and pours. */
  materials: number;
  /** What of the materials is kept by cups or drips away; it is in them already. */
  waste: number;
  hours: Hours[];
  totalHours: number;
  labour: number;
  overhead: number;
  cost: number;
  margin: number;
  price: number;
  unpriced: Taken[];
}

/** Hands-on hours of a piece, step by step: the board, each pour with its setting up and cleaning up, and finishing. */
export function hoursOf(plan: PiecePlan, method: Method, { setUpMin, cleanUpMin }: Pricing): Hours[] {
  const hands = (does: string, works: { hands: number }[]): Hours => ({
    does,
    hours: handsOnSeveral(plan.piece.count, plan.area) * works.reduce((sum, w) => sum + w.hands, 0),
  });
  return [
    hands('Preparing', workBefore(plan.piece, method)),
    ...plan.pours
      .filter((p) => p.batches.length)
      .map((p, i) => ({ does: `Pour ${i + 1}, set up and cleaned up`, hours: ((p.steps.at(-1)?.at ?? 0) + setUpMin + cleanUpMin) / 60 })),
    hands('Put right and brushed on between', workBetween(plan.piece, method)),
    hands('Finishing', workAfter(plan.piece, method)),
  ].filter((line) => line.hours > 0);
}

/** @param shelf what prices are read from */
export function quoteOf(plan: PiecePlan, shelf: Ledger, materials: Materials, pricing: Pricing): Quote {
  const { method } = plan.means;
  const board = costOf(takenByBoard(plan), shelf, materials);
  const pours = plan.pours
    .filter((p) => p.batches.length)
    .map((p) => ({ name: p.coats.map((c) => c.name).join(', '), cost: costOf(takenByPour(p), shelf, materials) }));
  const bought = board.amount + pours.reduce((sum, p) => sum + p.cost.amount, 0);
  const waste = plan.pours
    .flatMap((p) => p.batches)
    .reduce((sum, batch) => {
      const parts = takenByBatch(batch).filter((t) => t.of.kind === 'resin');
      return sum + (costOf(parts, shelf, materials).amount * wasted(balanceOf(batch), method)) / batch.ml;
    }, 0);
  const hours = hoursOf(plan, method, pricing);
  const totalHours = hours.reduce((sum, h) => sum + h.hours, 0);
  const labour = totalHours * pricing.hourRate;
  const overhead = (bought + labour) * pricing.overhead;
  const cost = bought + labour + overhead;
  const margin = cost * pricing.margin;
  return {
    board,
    pours,
    materials: bought,
    waste,
    hours,
    totalHours,
    labour,
    overhead,
    cost,
    margin,
    price: cost + margin,
    unpriced: [...board.unpriced, ...pours.flatMap((p) => p.cost.unpriced)],
  };
}
