import type { Figure, Learned } from '#core/document';
import { belongs, figureNow, learnable, type Standing } from './figure';
import type { Observation } from './observation';
import { shrunk, withoutSlips } from './shrink';

/** What the studio's own pours say of one of its figures. */
export interface Lesson {
  figure: Figure;
  /** The resin or the colourant it belongs to. */
  of?: string;
  /** What is planned with now, and what the trade takes it for. */
  now: number;
  trade: number;
  /** What the pours say, held toward the trade's, and half of the range that 19 of 20 true ones lie in. */
  value: number;
  spread: number;
  /** What is proposed: the value, or for a reserve as much as nine pours of ten need; rounded to what a hand can use. */
  proposed: number;
  /** Pours it rests on, and how many observations were slips and left out. */
  pours: number;
  slips: number;
  /** What was observed, pour by pour, oldest first. */
  observed: { pourId: string; at: number; value: number }[];
}

/** From so many pours on something is proposed: one says nothing, two may agree by chance. */
export const ENOUGH = 3;
/** Quantile of nine in ten of a bell. */
const NINE = 1.2816;

/** Rounded to two figures, or three from a hundred on: more no hand can use. */
export function handy(value: number): number {
  if (value === 0) return 0;
  const digits = value >= 100 ? 3 : 2;
  const by = 10 ** (digits - 1 - Math.floor(Math.log10(Math.abs(value))));
  return Math.round(value * by) / by;
}

/** Observations of one pour as one: what was seen several times in it counts once. */
function perPour(observations: readonly Observation[]): { pourId: string; at: number; value: number; log: number }[] {
  const byPour = new Map<string, Observation[]>();
  for (const o of observations) byPour.set(o.pourId, [...(byPour.get(o.pourId) ?? []), o]);
  return [...byPour.values()]
    .map((own) => {
      const logs = own.map((o) => Math.log(o.value)).sort((a, b) => a - b);
      // the middle of what was seen in it
      const log = (logs[(logs.length - 1) >> 1]! + logs[logs.length >> 1]!) / 2;
      return { pourId: own[0]!.pourId, at: own[0]!.at, value: Math.exp(log), log };
    })
    .sort((a, b) => a.at - b.at);
}

/** A spare counts as what is poured for each drawn. */
const asRatio = (figure: Figure, value: number): number => (figure === 'spare' ? 1 + value : value);
const asFigure = (figure: Figure, ratio: number): number => (figure === 'spare' ? ratio - 1 : ratio);

/** What the trade takes a figure for: of what is the studio's own, as it was before anything was taken over. */
function tradeOf(figure: Figure, of: string | undefined, now: number, learned: readonly Learned[]): number {
  const { field } = learnable[figure];
  if (field.in === 'method' || field.in === 'foam') return field.usual;
  if (field.in === 'colourant') return 1;
  const first = learned.filter((l) => l.figure === figure && l.of === of).sort((a, b) => (a.at < b.at ? -1 : 1))[0];
  return first?.was ?? now;
}

function lessonOf(
  figure: Figure,
  of: string | undefined,
  observations: Observation[],
  standing: Standing,
  learned: readonly Learned[],
): Lesson[] {
  const now = figureNow(figure, of, standing);
  if (now === undefined) return [];
  const { between, within, bounds } = learnable[figure];
  const trade = tradeOf(figure, of, now, learned);
  const observed = perPour(observations);
  const { kept, slips } = withoutSlips(observed, within);
  const prior = { middle: Math.log(asRatio(figure, trade)), between, within };
  const after = shrunk(
    kept.map((o) => o.log),
    prior,
  );
  const value = asFigure(figure, Math.exp(after.middle));
  const spread = (Math.exp(after.middle + after.half) - Math.exp(after.middle - after.half)) / 2;
  // what nine pours of ten need: how far one pour differs, and how far the middle is unsure
  const enough = asFigure(figure, Math.exp(after.middle + NINE * Math.hypot(after.within, after.half / 2)));
  const proposed = Math.min(bounds.max, Math.max(bounds.min, handy(figure === 'spare' ? Math.max(0, enough) : value)));
  return [
    {
      figure,
      ...(of !== undefined && { of }),
      now,
      trade,
      value,
      spread,
      proposed,
      pours: kept.length,
      slips,
      observed: observed.map(({ pourId, at, log }) => ({ pourId, at, value: asFigure(figure, Math.exp(log)) })),
    },
  ];
}

/** What all pours of a studio say of its figures, those first that would change the most. */
export function lessonsOf(observations: readonly Observation[], standing: Standing, learned: readonly Learned[] = []): Lesson[] {
  const groups = new Map<string, Observation[]>();
  for (const o of observations) {
    const key = `${o.figure} ${belongs(o.figure) ? (o.of ?? '') : ''}`;
    groups.set(key, [...(groups.get(key) ?? []), o]);
  }
  return [...groups.values()]
    .flatMap((own) => lessonOf(own[0]!.figure, belongs(own[0]!.figure) ? own[0]!.of : undefined, own, standing, learned))
    .sort((a, b) => changeOf(b) - changeOf(a));
}

/** By how much a lesson would change what is planned with, as a logarithm of it. */
const changeOf = ({ figure, now, proposed }: Lesson): number =>
  Math.abs(Math.log(Math.max(1e-6, asRatio(figure, proposed)) / Math.max(1e-6, asRatio(figure, now))));

/** A change that a hand would not notice is none. */
const NOTICED = 0.02;

/** Whether a lesson is worth taking over: enough pours, and a figure that a hand would notice. */
export const worthTaking = (lesson: Lesson): boolean => lesson.pours >= ENOUGH && changeOf(lesson) > NOTICED;

/** A lesson as it is kept once it is taken over. @param at ISO moment */
export const learnedOf = (lesson: Lesson, id: string, at: string): Learned => ({
  id,
  figure: lesson.figure,
  ...(lesson.of !== undefined && { of: lesson.of }),
  was: lesson.now,
  value: lesson.proposed,
  spread: lesson.spread,
  pours: lesson.pours,
  at,
});
