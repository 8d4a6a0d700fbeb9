import { cupKey, type CupRef, type ToldBatch, type ToldCup, type ToldStep } from '#core/document';
import { cupContent, mixedDensity, split } from '#core/mix';
import { benchClockOf } from '#core/pour';
import type { BatchClock } from '#core/plan';
import type { Bench } from './bench';
import { minuteOf } from './minutes';

/** A cup mixed anew at the bench, in itself: its mixing, the step that mixes it, and how long that takes until it can be laid, min. */
export interface Fresh {
  batch: ToldBatch;
  cup: ToldCup;
  mix: ToldStep;
  minutes: number;
  clock?: BatchClock;
}

const r = (value: number): number => Math.round(value * 1000) / 1000;

/** The next portion of a cup, after those there are. */
function portionOf(cups: ToldCup[], id: CupRef): CupRef {
  const own = cups.filter((c) => cupKey({ ...c.id, portion: 0 }) === cupKey({ ...id, portion: 0 }));
  return { ...id, portion: Math.max(1, ...own.map((c) => c.id.portion ?? 1)) + 1 };
}

/** A cup made in another size: what goes into it by so much more or less, drops counted whole. */
function sized(cup: ToldCup, k: number): Pick<ToldCup, 'doses' | 'sandG' | 'additive'> {
  return {
    sandG: r(cup.sandG * k),
    doses: cup.doses.map((d) => {
      const count = d.count === undefined ? undefined : Math.max(1, Math.round(d.count * k));
      // what is counted in whole drops is as much as those are
      const own = count === undefined || !d.count ? k : count / d.count;
      return { ...d, grams: d.grams * own, ...(d.ml !== undefined && { ml: d.ml * own }), ...(count !== undefined && { count }) };
    }),
    ...(cup.additive && { additive: { ...cup.additive, drops: Math.max(1, Math.round(cup.additive.drops * k)) } }),
  };
}

/**
 * A cup mixed anew, as much as is wanted but no less than the studio fills. Undefined where its resin is not known any more.
 * @param of     the cup it is like
 * @param wanted what must leave it, ml; 0 for all that can
 * @param number of its mixing, counted on from those there are
 */
export function freshCup(bench: Bench, of: ToldCup, wanted: number, number = bench.session.told.batches.length): Fresh | undefined {
  const { session, planner, air } = bench;
  const { pour, told } = session;
  const { method, resins, pieces } = pour.planned;
  const like = told.batches[of.batch];
  const resin = resins.find((x) => x.id === like?.resinId);
  if (!like || !resin) return undefined;
  const least = (of.id.role === 'white' ? method.smallestWhite : method.smallestCup) ?? 0;
  const ml = Math.ceil(Math.max(cupContent(wanted, method), least));
  const parts = split(ml, resin);
  const density = mixedDensity(resin);
  const k = (ml * density) / Math.max(1e-9, of.aG + of.bG);
  const canLeave = Math.max(0, ml * (1 - method.cupShare) - method.cupStays);
  const needed = wanted > 0 ? Math.min(wanted, canLeave) : canLeave;
  const id = portionOf(told.cups, of.id);
  const cup: ToldCup = {
    ...of,
    id,
    // told apart from the one before, where both stand on the bench
    name: `${of.name.replace(/ \d+$/, '').slice(0, 70)} ${id.portion}`,
    batch: number,
    ml: r(ml),
    needed: r(needed),
    over: r(canLeave - needed),
    aG: r(parts.aG),
    bG: r(parts.bG),
    ...sized(of, k),
  };
  const { was: _, ...own } = cup;
  const at = r(minuteOf(session, bench.now));
  const bare: ToldBatch = {
    resinId: like.resinId,
    resin: like.resin,
    at,
    stirMin: like.stirMin,
    ml: r(ml),
    aMl: r(parts.aMl),
    bMl: r(parts.bMl),
    aG: r(parts.aG),
    bG: r(parts.bG),
    lastMoves: { from: 0, until: 0 },
    heatUntil: 0,
    ...(of.id.role === 'white' && like.whiteCup && { whiteCup: { ml: r(ml), multiplier: like.whiteCup.multiplier } }),
  };
  const batches = [...told.batches];
  batches[number] = bare;
  const clock = benchClockOf(pour, { batches, cups: [...told.cups, own], steps: told.steps }, number, planner, { air });
  const batch = clock ? withWindows(bare, clock) : bare;
  const piece = pieces.find((p) => p.id === of.id.piece);
  const mix: ToldStep = {
    id: { does: 'mix', batch: number },
    at,
    batch: number,
    mixedAt: at,
    uses: [],
    boards: piece ? [{ piece: piece.id, name: piece.name, count: piece.count }] : [],
  };
  const coloured = own.doses.length > 0 || own.sandG > 0;
  return { batch, cup: own, mix, minutes: like.stirMin + (coloured ? method.colourMinPerCup : 0), ...(clock && { clock }) };
}

/** A told mixing with the windows its clock shows. */
export function withWindows(batch: ToldBatch, { windows }: Pick<BatchClock, 'windows'>): ToldBatch {
  const { white: _, whiteBest: __, ...rest } = batch;
  const { white, whiteBest, lastMoves, heatUntil } = windows;
  const span = ({ from, until }: { from: number; until: number }) => ({ from: r(Math.max(0, from)), until: r(Math.max(0, until)) });
  return {
    ...rest,
    ...(batch.whiteCup && white && whiteBest && white.until > white.from && { white: span(white), whiteBest: span(whiteBest) }),
    lastMoves: span(lastMoves),
    heatUntil: r(Math.max(0, heatUntil)),
  };
}
