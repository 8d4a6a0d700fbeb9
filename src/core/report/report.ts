import { Airs } from '#core/cure';
import { advise, aroundOf, writeStrain, type Finding } from '#core/advice';
import type { Piece, Studio, Told } from '#core/document';
import { coverage } from '#core/mix';
import { clearanceOf, likelyOf, looseGrams, weightOf, type Batch, type Figure, type Means, type PiecePlan, type Planner } from '#core/plan';
import { coatName, regionOfTint, type Cup } from '#core/coat';
import { howToNarrow, say, tell } from '#core/pour';
import { writesIn, type Writes } from '#core/units';
import { hoursOf, sayBetween, sayWork, workAfter, workBefore, workBetween, type Work } from '#core/prepare';
import { standingOf, summaryOf } from '#core/record';
import { meansOf, roomOf, type Asked } from './means';
import { writeMoment } from './calendar';
import { r } from './rounded';
import { quoteReport } from './shelf';

/** A minute, or in words where it never comes. */
const minute = (value: number): number | string => (Number.isFinite(value) ? r(value) : 'never');
const span = ({ from, until }: { from: number; until: number }): [number, number] => [r(from), r(until)];

function cupReport(cup: Cup) {
  return {
    cup: cup.name,
    areaCm2: r(cup.area / 100),
    neededMl: r(cup.needed),
    ...(cup.makeup.heldBack > 0 && { heldBackMl: r(cup.makeup.heldBack) }),
    ...(cup.makeup.surplus > 0 && { leftOverMl: r(cup.makeup.surplus) }),
    ...(cup.made.additive && { additive: cup.made.additive }),
    ml: r(cup.ml),
    aMl: r(cup.parts.aMl),
    bMl: r(cup.parts.bMl),
    aG: r(cup.parts.aG),
    bG: r(cup.parts.bG),
    ...(cup.made.sand?.gravel ? { gravelG: r(cup.sandG) } : { sandG: r(cup.sandG) }),
    colourants: cup.doses.map((d) => ({
      name: d.name,
      grams: r(d.grams),
      ...(d.count !== undefined && { drops: d.count }),
      ...(d.letDown && { letDown: `1 : ${d.letDown}` }),
    })),
    loadPercent: r(cup.load * 100),
    limitPercent: r(cup.limit * 100),
    ...(cup.colour && { colour: cup.colour }),
  };
}

/** Each edge of a window with the range it lies in four times in five, and the input that would narrow it most once measured. */
const likelyReport = (batch: Batch, means: Means) =>
  Object.fromEntries(
    Object.entries(likelyOf(batch, means)).map(([figure, { middle, from, until, most }]) => [
      figure,
      {
        middle: minute(middle),
        from: minute(from),
        until: minute(until),
        ...(most && { narrowedBy: howToNarrow(most, figure as Figure).measure }),
      },
    ]),
  );

function windowsReport(batch: Batch, means: Means) {
  const w = batch.windows;
  return {
    stirred: r(w.stirred),
    tint: span(w.tint),
    ...(w.white && w.whiteBest && { white: span(w.white), whiteBest: span(w.whiteBest) }),
    heatUntil: r(w.heatUntil),
    lastMoves: span(w.lastMoves),
    shells: span(w.shells),
    leave: span(w.leave),
    nextCoat: span(w.nextCoat),
    fullCure: minute(w.fullCure),
    likely: likelyReport(batch, means),
  };
}

function batchReport(batch: Batch, means: Means, write: Writes) {
  return {
    resin: batch.resin.name,
    ...(batch.because && { because: writeStrain(batch.because, write) }),
    ml: r(batch.ml),
    aMl: r(batch.parts.aMl),
    bMl: r(batch.parts.bMl),
    aG: r(batch.parts.aG),
    bG: r(batch.parts.bG),
    cups: batch.cups.map(cupReport),
    windowsMin: windowsReport(batch, means),
  };
}

/** Each step as it is said at the bench, with its amounts. */
const stepsReport = (told: Told, write: Writes) =>
  told.steps.map((step) => {
    const { says, detail, amounts, short } = say(step, told, write);
    return {
      at: r(step.at),
      step: short,
      says,
      detail,
      ...(amounts.length && {
        amounts: amounts.map(({ name, amount, each, holds }) => ({ name, amount, ...(each && { each }), ...(holds && { holds }) })),
      }),
    };
  });

function pourReport(plan: PiecePlan, number: number, write: Writes, planner: Planner) {
  const pour = plan.pours[number]!;
  return {
    ...(pour.lies && { onTheBoard: true }),
    coats: pour.coats.map((c) => ({
      number: c.number,
      coat: c.name,
      filmMm: r(c.film),
      coverageMlPer100Cm2: r(coverage(c.film)),
      areaCm2: r(c.area / 100),
      ml: r(c.ml),
    })),
    batches: pour.batches.map((batch) => batchReport(batch, plan.means, write)),
    steps: stepsReport(tell(planner.together([{ plan, pour: number }], plan.means), plan.means.air(0)), write),
  };
}

function areasReport({ cut, piece }: PiecePlan) {
  const sea = piece.coats.find((c) => c.kind === 'sea');
  const tints = sea?.kind === 'sea' ? sea.tints : [];
  return {
    beachCm2: r(cut.beach.area / 100),
    seaCm2: Object.fromEntries(
      tints.flatMap((tint, i) => {
        const region = regionOfTint(cut, i);
        return region && region.area > 0 ? [[tint.name, r(region.area / 100)]] : [];
      }),
    ),
    ...(piece.sea.areas && { areasCm2: Object.fromEntries(piece.sea.areas.map((a, i) => [a.name, r(cut.areas[i]!.area / 100)])) }),
    ...(cut.bare.area > 0 && { bareCm2: r(cut.bare.area / 100) }),
    shorelineM: r(cut.shoreLength / 1000),
  };
}

const workReport = (piece: Piece, write: Writes) => (work: Work) => {
  const { does, why, caution } = sayWork(work, piece, write);
  return { does, why, hours: r(hoursOf(work)), ...(caution && { caution }) };
};

/** What stands on the board when all is poured, and what the piece weighs. */
function finishedReport(plan: PiecePlan) {
  const { level, wallLeft } = clearanceOf(plan);
  const weight = weightOf(plan);
  const loose = looseGrams(plan);
  return {
    levelMm: r(level),
    ...(wallLeft !== undefined && { wallLeftMm: r(wallLeft) }),
    weightKg: { board: r(weight.board), resin: r(weight.resin), dressing: r(weight.dressing), total: r(weight.total) },
    ...(loose.gravel > 0 && { gravelG: r(loose.gravel) }),
    ...(loose.dry > 0 && { drySandG: r(loose.dry) }),
  };
}

const adviceReport = ({ where, ...finding }: Finding) => ({ ...finding, ...(where.pour !== undefined && { pour: where.pour + 1 }) });

/** The plan of one piece in the studio's room by day, and where it stands. */
export function pieceReport(piece: Piece, studio: Studio, asked: Asked) {
  const { planner, zone, now, planned } = asked;
  const means = meansOf(studio);
  const write = writesIn(studio.settings);
  const plan = planner.plan(piece, means);
  const airs = new Airs(zone, studio.air);
  const room = roomOf(studio);
  const standing = standingOf(piece, studio.pours.map(summaryOf), { airs, means, room }, now);
  return {
    piece: piece.name,
    areaCm2: r(plan.area / 100),
    rimM: r(plan.rim / 1000),
    regions: areasReport(plan),
    roomC: means.air(0),
    before: workBefore(piece, studio.method).map(workReport(piece, write)),
    between: workBetween(piece, studio.method).map((b) => ({ ...sayBetween(b, coatName(b.coat)), hours: r(hoursOf(b)) })),
    after: workAfter(piece, studio.method).map(workReport(piece, write)),
    finished: finishedReport(plan),
    pours: plan.pours.map((_, i) => pourReport(plan, i, write, planner)),
    calendar: (planned?.calendar.lanes.find((l) => l.pieceId === piece.id)?.stretches ?? standing.stretches).map((s) => ({
      doing: s.doing,
      from: writeMoment(s.from),
      until: writeMoment(s.until),
      planned: s.planned,
    })),
    quote: quoteReport(plan, studio, zone),
    advice: advise({ plan, write, around: aroundOf(standing, { airs, room, now }) }).map(adviceReport),
  };
}
