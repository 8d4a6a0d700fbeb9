import type { Told, ToldBatch, ToldCup } from '#core/document';
import type { Cup } from '#core/coat';
import type { Batch, Together } from '#core/plan';
import { boardSupplies } from './boards';

/** Figures are kept to a thousandth of their unit, finer than any hand measures. */
const r = (value: number): number => Math.round(value * 1000) / 1000;
const rounded = ({ from, until }: { from: number; until: number }) => ({ from: r(from), until: r(until) });

function toldBatch({ resin, ml, parts, windows, cups, white, bottlesC, care }: Batch, at: number): ToldBatch {
  const hasWhite = cups.some((c) => c.id.role === 'white');
  const { white: span, whiteBest } = windows;
  return {
    resinId: resin.id,
    resin: resin.name,
    at: r(at),
    stirMin: r(resin.stirMin),
    ml: r(ml),
    aMl: r(parts.aMl),
    bMl: r(parts.bMl),
    aG: r(parts.aG),
    bG: r(parts.bG),
    ...(span && whiteBest && span.until > span.from && { white: rounded(span), whiteBest: rounded(whiteBest) }),
    lastMoves: rounded(windows.lastMoves),
    heatUntil: r(windows.heatUntil),
    ...(bottlesC !== undefined && { bottlesC: r(bottlesC) }),
    ...(care?.wide && { wide: true }),
    ...(hasWhite && { whiteCup: { ml: r(white.ml), multiplier: r(white.multiplier) } }),
  };
}

function toldCup(cup: Cup, batch: number): ToldCup {
  const { id, name, ml, needed, makeup, parts, sandG, doses, made, colour } = cup;
  return {
    id,
    batch,
    name,
    ml: r(ml),
    needed: r(needed),
    over: r(makeup.spare + makeup.heldBack + makeup.surplus),
    aG: r(parts.aG),
    bG: r(parts.bG),
    sandG: r(sandG),
    ...(made.sand?.pressed && { pressed: true }),
    ...(made.sand?.gravel && { gravel: true }),
    doses: doses.map(({ colourantId, name: called, grams, ml: fills, count, letDown }) => ({
      colourantId,
      name: called,
      grams: Math.round(grams * 1e6) / 1e6,
      ml: Math.round(fills * 1e6) / 1e6,
      ...(count !== undefined && { count }),
      ...(letDown !== undefined && { letDown }),
    })),
    ...(made.additive && { additive: made.additive }),
    ...(colour && { colour }),
  };
}

/** All that a session is told, as it is planned now. @param roomC at the bench, °C */
export function tell({ chosen, batches, steps, coats }: Together, roomC: number): Told {
  const toldSteps = steps.map((step) => ({
    ...step,
    at: r(step.at),
    mixedAt: r(step.mixedAt),
    uses: step.uses.map((u) => ({ ...u, ml: r(u.ml), boards: u.boards.map((b) => ({ ...b, ml: r(b.ml) })) })),
    ...(step.area !== undefined && { area: r(step.area) }),
    ...(step.grams !== undefined && { grams: r(step.grams) }),
    ...(step.thin && { thin: step.thin.map((t) => ({ ...t, grams: Math.round(t.grams * 1e6) / 1e6, clearMl: r(t.clearMl) })) }),
    ...(step.air && { air: { ...step.air, seconds: r(step.air.seconds) } }),
    ...(step.coat && { coat: { ...step.coat, film: r(step.coat.film) } }),
  }));
  return {
    roomC,
    coats: coats.map(({ piece, coat, number, name }) => ({ piece: piece.id, coat: coat.id, number, name })),
    batches: batches.map((batch, i) => toldBatch(batch, steps.find((s) => s.id.does === 'mix' && s.id.batch === i)?.at ?? 0)),
    cups: batches.flatMap((batch, i) => batch.cups.map((cup) => toldCup(cup, i))),
    steps: toldSteps,
    supplies: chosen.flatMap(({ plan }) => boardSupplies(plan)),
  };
}
