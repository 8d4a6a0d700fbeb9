import type { Colourant, Piece, Pour, Resin, Stock } from '#core/document';
import { planPiece, type Means, type PiecePlan } from '#core/plan';
import { planOfPour, readSession } from '#core/record';
import { summed, type Taken } from './item';
import { ledger, type Ledger } from './ledger';
import { takenByBoard, takenByPour, usedBy, type Use } from './take';

const uses = new Map<string, { seq: number; first: boolean; use: Use | undefined }>();

/**
 * What finished pours took. A pour's events are only ever added to, so what it took is kept until there are more of them:
 * planning it again is what takes time.
 */
export function usesOf(pours: Pour[]): Use[] {
  const firsts = new Map<string, string>();
  for (const pour of [...pours].sort((a, b) => a.startedAt.localeCompare(b.startedAt)))
    if (!firsts.has(pour.pieceId)) firsts.set(pour.pieceId, pour.id);
  return pours.flatMap((pour) => {
    const first = firsts.get(pour.pieceId) === pour.id;
    const key = `${pour.id} ${pour.startedAt}`;
    let kept = uses.get(key);
    if (kept?.seq !== pour.events.length || kept.first !== first) {
      kept = { seq: pour.events.length, first, use: useOf(pour, first) };
      uses.set(key, kept);
    }
    return kept.use ?? [];
  });
}

function useOf(pour: Pour, first: boolean): Use | undefined {
  if (!pour.events.some((e) => e.kind === 'done')) return undefined;
  const { piece, resins, colourants, method } = pour.planned;
  const board = first ? takenByBoard(planPiece(piece, { resins, colourants, method, roomC: pour.roomC })) : [];
  return usedBy(readSession(pour, planOfPour(pour)), board);
}

/** The shelf as it stands after every finished pour. */
export const shelfOf = (stock: Stock[], pours: Pour[], materials: { resins: Resin[]; colourants: Colourant[] }): Ledger =>
  ledger(stock, usesOf(pours), materials);

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
export function comingPours(pieces: Piece[], pours: Pour[], means: Means): Coming[] {
  const poured = new Map<string, Set<string>>();
  for (const pour of pours) {
    const done = poured.get(pour.pieceId) ?? new Set<string>();
    pour.coatIds.forEach((id) => done.add(id));
    poured.set(pour.pieceId, done);
  }
  const known = new Set(means.resins.map((r) => r.id));
  const byDate = [...pieces].sort((a, b) => (a.pourAt ?? '9').localeCompare(b.pourAt ?? '9') || a.name.localeCompare(b.name));
  return byDate.flatMap((piece) => {
    if (piece.coats.some((c) => !known.has(c.resinId))) return [];
    const plan = planPiece(piece, means);
    const done = poured.get(piece.id);
    return plan.pours.flatMap((p, pour): Coming[] => {
      if (!p.batches.length || p.coats.every((c) => done?.has(c.coat.id))) return [];
      const board = !done && pour === 0 ? takenByBoard(plan) : [];
      return [{ piece, plan, pour, taken: summed([...takenByPour(p), ...board]) }];
    });
  });
}
