import { materials } from '#core/craft';
import { mixedDensity } from '#core/mix';
import { dressingGrams } from './coats';
import { looseGrams } from './loose';
import type { PiecePlan } from './piece';

const G = 9.80665;

/** What one finished piece weighs, kg, and what that is made of. */
export interface Weight {
  board: number;
  resin: number;
  /** Sand, gravel and dressings. */
  dressing: number;
  total: number;
}

/**
 * Finished weight of one piece: the board by its area, thickness and material, the resin that stays on it, and what is
 * set or strewn on it. Spare and drips are left out.
 */
export function weightOf(plan: PiecePlan): Weight {
  const { piece, area, pours, means } = plan;
  const thickness = piece.thickness * (piece.surface.doubled ? 2 : 1);
  const board = (area * thickness * materials[piece.surface.material].density) / 1e6;
  let resin = 0;
  let sand = 0;
  for (const { coat, cups } of pours.flatMap((pour) => pour.own)) {
    const density = mixedDensity(means.resins.find((r) => r.id === coat.resinId)!);
    for (const cup of cups) {
      const made = cup.needed + cup.makeup.heldBack + cup.makeup.surplus + cup.makeup.stays;
      const share = made > 0 ? cup.makeup.laid / made : 0;
      resin += (cup.ml * share * density) / piece.count / 1000;
      sand += (cup.sandG * share) / piece.count / 1000;
    }
  }
  const loose = looseGrams(plan);
  const set = (piece.dressings ?? []).reduce((sum, d) => sum + dressingGrams(d), 0);
  const dressing = sand + (loose.gravel + loose.dry + set) / 1000;
  return { board, resin, dressing, total: board + resin + dressing };
}

/**
 * How far a board sags in its middle under its own finished weight, lying on feet at its two ends, mm: a beam evenly
 * loaded, 5qL⁴/384EI (Euler–Bernoulli; small sags). Infinity for what does not stand by itself.
 */
export function sagOf(plan: PiecePlan): number {
  const { stiffness } = materials[plan.piece.surface.material];
  if (stiffness === 0) return Infinity;
  const span = Math.max(plan.bounds.width, plan.bounds.height) / 1000;
  const thickness = (plan.piece.thickness * (plan.piece.surface.doubled ? 2 : 1)) / 1000;
  const load = (weightOf(plan).total * G) / (plan.area / 1e6);
  const inertia = thickness ** 3 / 12;
  return (1000 * 5 * load * span ** 4) / (384 * stiffness * 1e9 * inertia);
}
