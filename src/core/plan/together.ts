import { ordinaryDoubts } from '#core/craft';
import type { Piece, Resin } from '#core/document';
import { planBatch, type Strain } from './batch';
import type { CoatPlan } from './coats';
import type { Cup } from '#core/coat';
import { joinCups } from './joined';
import type { Bench, Means } from './means';
import { mixedTogether } from './mixing';
import type { Kept, PiecePlan } from './piece';
import { divides, mixed, type Mixed } from './split';
import { planSteps } from './steps';
import { strainsOf } from './strain';

/** A pour of one piece, to be poured with others. */
export interface Chosen {
  plan: PiecePlan;
  pour: number;
}

/** Several pieces poured in one session, out of the same batches. */
export interface Together extends Mixed {
  chosen: Chosen[];
}

/** What a cup that serves several pieces brings to each of them, ml that must leave it. */
export function sharesOf({ serves, needed }: Cup): { piece: Piece; ml: number }[] {
  const shares = new Map<string, { piece: Piece; ml: number }>();
  for (const { piece, share } of serves) shares.set(piece.id, { piece, ml: (shares.get(piece.id)?.ml ?? 0) + needed * share });
  return [...shares.values()];
}

/** Coats of some pieces in the order they are laid: all films first, piece by piece, then the waves and the threads beside them. */
function inTurn(pieces: CoatPlan[][]): CoatPlan[] {
  const late = (c: CoatPlan, own: CoatPlan[]): boolean =>
    c.coat.kind === 'wave' || (c.coat.kind === 'thread' && own.slice(0, own.indexOf(c)).some((k) => k.coat.kind === 'wave'));
  return [...pieces.flatMap((own) => own.filter((c) => !late(c, own))), ...pieces.flatMap((own) => own.filter((c) => late(c, own)))];
}

/** Coats that begin a mixing of their own, whatever was mixed before. */
const begun = (coats: CoatPlan[]): CoatPlan[] =>
  coats.map((c, i) =>
    coats.findIndex((k) => k.coat.resinId === c.coat.resinId) === i ? { ...c, coat: { ...c.coat, ownBatch: true } } : c,
  );

/** Pieces that can share a mixing without straining it, in turn; one that strains by itself stands alone. */
function sharing(pieces: CoatPlan[][], resins: Resin[], bench: Omit<Bench, 'letDowns'>): CoatPlan[][][] {
  if (!divides(bench.method)) return [pieces];
  const fits = (group: CoatPlan[][]): boolean => mixedTogether(inTurn(group), resins, bench).batches.every((b) => !b.because);
  return pieces.reduce<CoatPlan[][][]>((groups, piece) => {
    const last = groups.at(-1);
    if (last && fits([...last, piece])) last.push(piece);
    else groups.push([piece]);
    return groups;
  }, []);
}

/** What one mixing for all would strain. */
function strainOf(coats: CoatPlan[], resins: Resin[], bench: Omit<Bench, 'letDowns'>): Strain | undefined {
  const joined = joinCups(coats, resins, bench);
  const { batches, steps } = mixed(joined.coats, resins, { ...joined.bench, method: { ...bench.method, batches: 'one a resin' } });
  return batches.flatMap((batch, i) => strainsOf(batch, i, steps, bench))[0];
}

/**
 * Pours of several pieces in one session: all films first, piece by piece, then the waves, so that the wait for one
 * board's white is the work on the next. Cups of the same tint are filled as one. Where that would strain the mix, fewer
 * pieces share one.
 */
export function together(chosen: Chosen[], means: Means, { courses, aged }: Kept): Together {
  const [only] = chosen;
  const lone = chosen.length === 1 ? only!.plan.pours[only!.pour] : undefined;
  if (lone) return { chosen, batches: lone.batches, steps: lone.steps, coats: lone.coats };
  const { method, colourants, air, scaleStep = 0.1, doubts = ordinaryDoubts } = means;
  const resins = means.resins.map((resin) => aged(resin, method));
  const bench = { method, colourants, air, scaleStep, doubts, courses };
  const pieces = chosen.map(({ plan, pour }) => plan.pours[pour]?.own ?? []);
  const groups = sharing(pieces, resins, bench);
  const coats = groups.flatMap((group, i) => (i === 0 ? inTurn(group) : begun(inTurn(group))));
  const because = groups.length > 1 ? strainOf(inTurn(pieces), resins, bench) : undefined;
  const mix = mixedTogether(coats, resins, bench);
  return { chosen, ...mix, batches: mix.batches.map((b) => (because && !b.because ? { ...b, because } : b)) };
}

/**
 * A session planned for one air with its clocks run in another: the same batches and cups, with the windows and minutes they
 * have there.
 */
export function inOtherAir(session: Together, means: Means, { courses }: Kept): Together {
  const { method, colourants, air, scaleStep = 0.1, doubts = ordinaryDoubts } = means;
  const bench = { method, colourants, air, scaleStep, doubts, courses };
  const batches = session.batches.map((batch) => ({
    ...planBatch(batch.resin, batch.cups, bench, batch.care),
    ...(batch.because && { because: batch.because }),
  }));
  return { ...session, batches, steps: planSteps(session.coats, batches, bench) };
}
