import { edgeOf, holesOf, type DressingKind, type Piece, type Resin, type StockOf, type Supply } from '#core/document';
import { looseGrams, type Batch, type Cup, type PiecePlan, type PourPlan } from '#core/plan';
import type { Split } from '#core/mix';
import type { Session } from '#core/record';
import { summed, type Taken } from './item';

const supply = (what: Supply, amount: number, unit: Taken['unit']): Taken => ({ of: { kind: 'supply', supply: what }, amount, unit });
const part = (resin: Resin, which: 'A' | 'B'): StockOf => ({ kind: 'resin', resinId: resin.id, part: which });

const partsTaken = (resin: Resin, { aG, bG }: Pick<Split, 'aG' | 'bG'>): Taken[] => [
  { of: part(resin, 'A'), amount: aG, unit: 'g' },
  { of: part(resin, 'B'), amount: bG, unit: 'g' },
];

/** A drop of additive, ml. */
const ADDITIVE_DROP = 0.05;

/** What goes into a cup beside resin. */
const inCup = ({ doses, sandG, made }: Cup): Taken[] => [
  ...doses.map((d): Taken => ({ of: { kind: 'colourant', colourantId: d.colourantId }, amount: d.grams, unit: 'g' })),
  supply('sand', sandG, 'g'),
  supply('additive', (made.additive?.drops ?? 0) * ADDITIVE_DROP, 'ml'),
];

/** What one cup takes from the shelf. */
export const takenByCup = (cup: Cup, resin: Resin): Taken[] => summed([...partsTaken(resin, cup.parts), ...inCup(cup)]);

/** What a batch takes, with what its mixing cup keeps. */
export const takenByBatch = (batch: Batch): Taken[] => summed([...partsTaken(batch.resin, batch.parts), ...batch.cups.flatMap(inCup)]);

/** Pairs of gloves for one pour: two on each hand, so that one can be stripped. */
const GLOVES = 4;

/** What a pour takes: its batches, and gloves. */
export const takenByPour = ({ batches }: Pick<PourPlan, 'batches'>): Taken[] =>
  summed([...batches.flatMap(takenByBatch), ...(batches.length ? [supply('gloves', GLOVES, 'pieces')] : [])]);

/** A coat of primer brushed on, mm of wet film. */
const PRIMER_FILM = 0.15;
const dressings: Record<DressingKind, Supply> = {
  shell: 'shells',
  stone: 'stones',
  crystal: 'crystals',
  glass: 'glass pieces',
  creature: 'creatures',
};
const primers: Partial<Record<Piece['surface']['primer'], Supply>> = { gesso: 'gesso', paint: 'paint', 'clear sealer': 'sealer' };

/** What a piece takes beside its pours: primer, tape or film, loose sand and gravel, dressings; all like pieces together. */
export function takenByBoard(plan: PiecePlan): Taken[] {
  const { piece, area, rim } = plan;
  const { surface } = piece;
  const primer = primers[surface.primer];
  const loose = looseGrams(plan);
  const taped =
    piece.edge === 'taped' || piece.edge === 'dammed' || piece.coats.some((coat) => ['taped', 'dammed'].includes(edgeOf(piece, coat)));
  const holes = holesOf(piece).filter((h) => !h.filled && h.taped);
  const tape =
    (taped ? rim : 0) +
    (surface.underside === 'tape' || surface.underside === 'film' ? rim : 0) +
    holes.reduce((sum, h) => sum + 2 * h.diameter, 0);
  return summed(
    [
      ...(primer ? [supply(primer, (surface.primerCoats * area * PRIMER_FILM) / 1000, 'ml')] : []),
      supply('tape', tape / 1000, 'm'),
      ...(surface.underside === 'film' ? [supply('film', plan.bounds.width / 1000, 'm')] : []),
      supply('sand', loose.dry, 'g'),
      supply('gravel', loose.gravel, 'g'),
      ...(piece.dressings ?? []).map((d) => supply(dressings[d.kind], 1, 'pieces')),
    ].map((taken) => ({ ...taken, amount: taken.amount * piece.count })),
  );
}

/** What a finished pour of a piece took, and when. */
export interface Use {
  pourId: string;
  piece: string;
  /** ms since 1970 */
  at: number;
  taken: Taken[];
}

/**
 * What a pour took: the weights that were read at the scale, the planned ones where none was, for every batch that was
 * mixed. Nothing before it is done. The first pour of a piece takes its primer, tape and dressings too.
 */
export function usedBy(session: Session, board: Taken[]): Use | undefined {
  const { pour, plan, events, done } = session;
  if (done === undefined) return undefined;
  const taken = events.flatMap((e): Taken[] => {
    const batch = e.kind === 'mixed' ? plan.batches[e.batch] : undefined;
    if (e.kind !== 'mixed' || !batch) return [];
    const { aG, bG } = batch.parts;
    const weighed = (cup: Cup): Taken[] => {
      const read = new Map(events.flatMap((t) => (t.kind === 'tinted' && t.cup === cup.key ? [[t.colourantId, t.grams] as const] : [])));
      return inCup(cup).map((t) => (t.of.kind === 'colourant' ? { ...t, amount: read.get(t.of.colourantId) ?? t.amount } : t));
    };
    return [...partsTaken(batch.resin, { aG: e.aG ?? aG, bG: e.bG ?? bG }), ...batch.cups.flatMap(weighed)];
  });
  const gloves = supply('gloves', GLOVES, 'pieces');
  return { pourId: pour.id, piece: pour.planned.piece.name, at: done, taken: summed([...taken, gloves, ...board]) };
}
