import type { Colourant, Resin, ToldBatch, ToldCup } from '#core/document';
import { proportioned, ratioError } from '#core/mix';
import { cupLines, mixLines, type Entered, type WeighLine } from './weigh-lines';

/** A batch at the scale: its lines in order, and what has become of its ratio and its size. */
export interface Weighing {
  lines: WeighLine[];
  /** The first line that needs something; undefined when all is in. */
  current?: WeighLine;
  /** Of the ratio, once A and B are both in. */
  error?: number;
  /** A + B in all, g, and how much more than planned. */
  total: number;
  surplus: number;
}

/** A and B may be so far off without being put right, a share: a fifth of what is flagged. */
const RATIO_SLACK = 0.01;
/** Colourants may be so far off: eyes see less. */
const TINT_SLACK = 0.05;

/** How far off a line may be without being put right, g: its own share, but no finer than its drop or the scale's step. */
const slackOf = (line: Entered, share: number, stepG: number): number =>
  Math.max(share * line.planned, line.drops ? 0.5 * line.drops.each : stepG / ((line.letDown ?? 0) + 1));

/** Lines of one vessel, each grown to what is over of the others. @returns k by how much the vessel has grown */
function vessel(
  lines: Entered[],
  slackShare: (kind: WeighLine['kind']) => number,
  stepG: number,
  kept: ReadonlySet<string>,
): { lines: WeighLine[]; k: number } {
  const slack = lines.map((line) => slackOf(line, slackShare(line.kind), stepG));
  // what is left as it is does not make the others grow
  const { k, target } = proportioned(
    lines.map((l) => l.planned),
    lines.map((l) => (kept.has(l.key) ? undefined : l.inside)),
    slack,
  );
  const toCome = lines.map((l, i) => {
    const missing = target[i]! - (l.inside ?? 0);
    const enough = kept.has(l.key) || (l.inside !== undefined && missing <= slack[i]! + 1e-9);
    return { ...l, target: target[i]!, left: enough ? 0 : missing };
  });
  return { k, lines: overOf(toCome, slack) };
}

/** Says which lines are over while others still have to grow to them; once all are in proportion none is. */
const overOf = (lines: Omit<WeighLine, 'over'>[], slack: number[]): WeighLine[] => {
  const growing = lines.some((l) => l.left > 0);
  return lines.map((l, i) => {
    const more = (l.inside ?? 0) - l.planned;
    return { ...l, over: growing && l.left === 0 && more > slack[i]! ? more : 0 };
  });
};

/** What is weighed: a batch, the cups it fills, and its resin for the ratio. */
export interface OnTheScale {
  batch: Pick<ToldBatch, 'aG' | 'bG'>;
  cups: ToldCup[];
  resin: Resin;
}

/**
 * What is to be weighed for a batch, after what is in its vessels already. Nothing can be taken out again, so whatever is
 * over makes the rest of its vessel grow until every proportion is right.
 * @param inside what was put in, by the key of its line, g
 * @param stepG  of the scale, g
 * @param kept   lines that are left as they are, by their key
 */
export function weighingOf(
  { batch, cups, resin }: OnTheScale,
  colourants: Colourant[],
  inside: ReadonlyMap<string, number>,
  stepG: number,
  kept: ReadonlySet<string> = new Set(),
): Weighing {
  const mix = vessel(mixLines(batch, inside), () => RATIO_SLACK, stepG, new Set());
  const several = cups.length > 1;
  const filled = cups.flatMap((cup) =>
    vessel(
      cupLines(cup, several, colourants, inside, stepG),
      (kind) => (kind === 'fill' ? RATIO_SLACK : TINT_SLACK),
      stepG,
      kept,
    ).lines.filter((l) => several || l.kind !== 'fill' || l.left > 0),
  );
  const lines = [...mix.lines, ...filled];
  const current = lines.find((l) => l.left > 0);
  const [a, b] = [inside.get('A'), inside.get('B')];
  const planned = batch.aG + batch.bG;
  return {
    lines,
    ...(current && { current }),
    ...(a !== undefined && b !== undefined && { error: ratioError(a, b, resin) }),
    total: mix.k * planned,
    surplus: (mix.k - 1) * planned,
  };
}
