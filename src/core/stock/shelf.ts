import type { Colourant, Piece, Pour, Resin, Stock } from '#core/document';
import type { Zone } from '#core/air';
import type { Means, PiecePlan, Planner } from '#core/plan';
import { readSession, timesOf, type PourSummary } from '#core/record';
import { summed, type Taken } from './item';
import { ledger, type Ledger } from './ledger';
import { takenByBoard, takenByPour, usedBy, type Usage } from './take';

/** What pours that are over took, from what they were told and what was weighed. */
export function usagesOf(pours: Pour[]): Usage[] {
  const firsts = new Map<string, string>();
  for (const pour of [...pours].sort((a, b) => a.startedAt.localeCompare(b.startedAt)))
    if (!timesOf(pour).abandoned) for (const { pieceId } of pour.of) if (!firsts.has(pieceId)) firsts.set(pieceId, pour.id);
  return pours.flatMap((pour) => {
    const first = new Set(pour.of.flatMap(({ pieceId }) => (firsts.get(pieceId) === pour.id ? [pieceId] : [])));
    return usedBy(readSession(pour), first) ?? [];
  });
}

/** The shelf as it stands after every finished pour. */
export const shelfOf = (stock: Stock[], pours: Pour[], materials: { resins: Resin[]; colourants: Colourant[] }, zone: Zone): Ledger =>
  ledger(stock, usagesOf(pours), materials, zone);

/** A pour that is still to come, and what it will take. */
export interface Coming {
  piece: Piece;
  plan: PiecePlan;
  /** Which of the piece's pours. */
  pour: number;
  taken: Taken[];
}

/**
 * Pours that are still to come, of every piece on the table: those with a date first, by date. What was poured is left
 * out, and so is a pour under way, whose materials are out of their containers.
 */
export function comingPours(pieces: Piece[], pours: PourSummary[], means: Means, planner: Planner): Coming[] {
  const poured = new Map<string, Set<string>>();
  for (const pour of pours)
    if (!pour.abandoned)
      for (const { pieceId, coatIds } of pour.of) poured.set(pieceId, new Set([...(poured.get(pieceId) ?? []), ...coatIds]));
  const byDate = [...pieces].sort((a, b) => (a.pourAt ?? '9').localeCompare(b.pourAt ?? '9') || a.name.localeCompare(b.name));
  return byDate.flatMap((piece) => {
    const plan = planner.planIfAble(piece, means);
    if (!plan) return [];
    const done = poured.get(piece.id);
    const first = plan.pours.findIndex((p) => !p.lies);
    return plan.pours.flatMap((p, pour): Coming[] => {
      if (!p.batches.length || p.coats.every((c) => done?.has(c.coat.id))) return [];
      const board = !done && pour === first ? takenByBoard(plan) : [];
      return [{ piece, plan, pour, taken: summed([...takenByPour(p), ...board]) }];
    });
  });
}
