import { edgeOf } from '#core/craft';
import type { Piece, StepRef } from '#core/document';
import { tapeOff } from '#core/prepare';
import type { Batch } from './batch';
import { setWith, type CoatPlan } from './coats';
import { layFilms } from './lay-films';
import { layThread, layWhite, type Laid } from './lay-lines';
import { looseGrams } from './loose';
import type { Bench } from './means';
import { boardsOf, dress, Session, type Step } from './session';

export type { Step } from './session';

/** What is set on the boards after the last wave, once the film holds it. */
function dressAfter(session: Session, plan: CoatPlan): void {
  const dressings = setWith(plan.piece, plan.piece.coats.indexOf(plan.coat)).filter((d) => d.when === 'after the wave');
  dress(session, plan, dressings, (batch) => session.until(batch, session.batches[batch]!.windows.shells.from));
}

/** What ends a session: loose sand, run-off, the cover, and tape that comes off while the film is soft. */
function finish(session: Session, pour: CoatPlan[]): void {
  const last = session.steps.at(-1);
  if (!last) return;
  const { method } = session.bench;
  const { batch } = last;
  const pieces = [...new Map(pour.map((c) => [c.piece.id, c] as const)).values()];
  for (const { piece, site } of pieces) {
    const sanded = pour.some((c) => c.piece.id === piece.id && c.regions.beach.area > 0 && c.coat.kind === 'sand');
    const grams = looseGrams(site).dry * piece.count;
    if (!sanded || grams <= 0) continue;
    session.takes(method.layMinPerCup);
    session.add(batch, { id: { does: 'strew', piece: piece.id }, boards: [boardsOf(piece)], grams, loose: true });
  }
  const ends = (edge: Piece['edge']): Piece[] =>
    pieces.filter(({ piece }) => pour.some((c) => c.piece.id === piece.id && edgeOf(piece, c.coat) === edge)).map((c) => c.piece);
  const over = ends('run over');
  if (method.runOff === 'painted up' && over.length) {
    session.until(batch, session.batches[batch]!.windows.tint.until);
    session.takes(method.layMinPerCup);
    session.add(batch, { id: { does: 'sides' }, boards: over.map(boardsOf) });
  }
  session.add(batch, { id: { does: 'cover' }, boards: pieces.map((c) => boardsOf(c.piece)), ...(over.length && { drips: true }) });
  const soft = ends('taped').filter((piece) => tapeOff(piece) === 'while soft');
  if (soft.length) {
    session.until(batch, session.batches[batch]!.windows.leave.from);
    session.add(batch, { id: { does: 'peel' }, boards: soft.map(boardsOf) });
  }
}

/** Coats as they are laid: where tints come after the white, the wave that follows a sea comes before it. */
function inTurn(coats: CoatPlan[]): CoatPlan[] {
  const laid = [...coats];
  for (const sea of coats) {
    if (sea.coat.kind !== 'sea' || sea.coat.order !== 'after the white') continue;
    const wave = laid.slice(laid.indexOf(sea) + 1).find((c) => c.piece.id === sea.piece.id && c.coat.kind === 'wave');
    if (!wave) continue;
    laid.splice(laid.indexOf(wave), 1);
    laid.splice(laid.indexOf(sea), 0, wave);
  }
  return laid;
}

/** The last of the tints and threads that are laid right after a wave, while its white lies and before it is moved. */
function lastBeforeHeat(laid: CoatPlan[], wave: CoatPlan): CoatPlan {
  let last = wave;
  for (const c of laid.slice(laid.indexOf(wave) + 1)) {
    if (c.piece.id !== wave.piece.id || !c.cups.length) continue;
    if (c.coat.kind !== 'sea' && c.coat.kind !== 'thread') break;
    last = c;
  }
  return last;
}

/**
 * The steps of a pour in the order its coats are given, with the minute each is planned to be done: films first, cup after
 * cup, then each wave at its own minute or when its white is crispest, what is set on the boards, and the end. What is laid
 * beside or after a white is laid before that is moved with heat.
 */
export function planSteps(coats: CoatPlan[], batches: Batch[], bench: Pick<Bench, 'method'>): Step[] {
  const session = new Session(batches, bench);
  const laid = inTurn(coats);
  const moves = new Map<CoatPlan, Laid[]>();
  for (const plan of laid) {
    if (plan.cups.length) {
      const between = setWith(plan.piece, plan.piece.coats.indexOf(plan.coat)).filter((d) => d.when === 'between coats');
      dress(session, plan, between, () => undefined);
      if (plan.coat.kind === 'wave') {
        const white = layWhite(session, plan, coats);
        const last = lastBeforeHeat(laid, plan);
        if (white) moves.set(last, [...(moves.get(last) ?? []), white]);
      } else if (plan.coat.kind === 'thread') layThread(session, plan);
      else layFilms(session, plan, coats);
    }
    moves.get(plan)?.forEach((white) => white.move());
  }
  for (const plan of coats) dressAfter(session, plan);
  finish(session, coats);
  return session.steps;
}

/** The first step that does a thing. */
export const stepThat = (steps: Step[], does: StepRef['does'], piece?: string, coat?: string): Step | undefined =>
  steps.find((s) => s.id.does === does && (piece === undefined || s.id.piece === piece) && (coat === undefined || s.id.coat === coat));
