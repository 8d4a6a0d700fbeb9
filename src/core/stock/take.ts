import { cupKey, type Resin, type StockOf, type Supply, type ToldCup, type ToldSupply } from '#core/document';
import type { Batch, PiecePlan, PourPlan } from '#core/plan';
import type { Cup } from '#core/coat';
import { boardSupplies, weightsOf } from '#core/pour';
import type { Split } from '#core/mix';
import type { Session } from '#core/record';
import { summed, type Taken } from './item';

const supply = (what: Supply, amount: number, unit: Taken['unit']): Taken => ({ of: { kind: 'supply', supply: what }, amount, unit });
const part = (resinId: string, which: 'A' | 'B'): StockOf => ({ kind: 'resin', resinId, part: which });

const partsTaken = (resinId: string, { aG, bG }: Pick<Split, 'aG' | 'bG'>): Taken[] => [
  { of: part(resinId, 'A'), amount: aG, unit: 'g' },
  { of: part(resinId, 'B'), amount: bG, unit: 'g' },
];

/** A drop of additive, ml. */
const ADDITIVE_DROP = 0.05;

/** What goes into a cup beside resin. */
const inCup = ({ doses, sandG, gravel, additive }: Pick<ToldCup, 'doses' | 'sandG' | 'gravel' | 'additive'>): Taken[] => [
  ...doses.map((d): Taken => ({ of: { kind: 'colourant', colourantId: d.colourantId }, amount: d.grams, unit: 'g' })),
  supply(gravel ? 'gravel' : 'sand', sandG, 'g'),
  supply('additive', (additive?.drops ?? 0) * ADDITIVE_DROP, 'ml'),
];

const plannedCup = ({ doses, sandG, made }: Cup): Taken[] =>
  inCup({ doses, sandG, ...(made.sand?.gravel && { gravel: true }), ...(made.additive && { additive: made.additive }) });

/** What one cup takes from the shelf. */
export const takenByCup = (cup: Cup, resin: Resin): Taken[] => summed([...partsTaken(resin.id, cup.parts), ...plannedCup(cup)]);

/** What a batch takes, with what its mixing cup keeps. */
export const takenByBatch = (batch: Batch): Taken[] =>
  summed([...partsTaken(batch.resin.id, batch.parts), ...batch.cups.flatMap(plannedCup)]);

/** Pairs of gloves for one pour: two on each hand, so that one can be stripped. */
const GLOVES = 4;

/** What a pour takes: its batches, and gloves. */
export const takenByPour = ({ batches }: Pick<PourPlan, 'batches'>): Taken[] =>
  summed([...batches.flatMap(takenByBatch), ...(batches.length ? [supply('gloves', GLOVES, 'pieces')] : [])]);

const supplied = (list: ToldSupply[]): Taken[] => list.map(({ supply: what, amount, unit }) => supply(what, amount, unit));

/** What a piece takes beside its pours: primer, tape or film, loose sand and gravel, dressings; all like pieces together. */
export const takenByBoard = (plan: PiecePlan): Taken[] => summed(supplied(boardSupplies(plan)));

/** What a finished pour took, and when. */
export interface Usage {
  pourId: string;
  piece: string;
  /** ms since 1970 */
  at: number;
  taken: Taken[];
}

/**
 * What a pour took: the weights that were read at the scale, those it was told where none was, for every batch that was
 * mixed. Nothing before it is over. One that was given up took what was mixed by then.
 * @param first pieces whose first pour this is, which takes their primer, tape and dressings too
 */
export function usedBy({ pour, told, events, done, abandoned }: Session, first: ReadonlySet<string>): Usage | undefined {
  const at = done ?? abandoned?.at;
  if (at === undefined) return undefined;
  const mixed = new Set(events.flatMap((e) => (e.kind === 'mixed' ? [e.batch] : [])));
  const taken = [...mixed].flatMap((number): Taken[] => {
    const batch = told.batches[number];
    if (!batch) return [];
    const { aG = batch.aG, bG = batch.bG, cups } = weightsOf(events, told, number);
    const inCups = told.cups
      .filter((cup) => cup.batch === number)
      .flatMap((cup) => {
        const read = cups.get(cupKey(cup.id));
        const doses = cup.doses.map((d) => ({ ...d, grams: read?.colourants.get(d.colourantId) ?? d.grams }));
        return inCup({ ...cup, doses, sandG: read?.sand ?? cup.sandG });
      });
    return [...partsTaken(batch.resinId, { aG, bG }), ...inCups];
  });
  if (!taken.length && done === undefined) return undefined;
  const gloves = supply('gloves', GLOVES, 'pieces');
  const boards = done === undefined ? [] : supplied(told.supplies.filter((s) => first.has(s.piece)));
  return { pourId: pour.id, piece: pour.planned.pieces.map((p) => p.name).join(', '), at, taken: summed([...taken, gloves, ...boards]) };
}
