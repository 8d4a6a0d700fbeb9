import { cupKey, type Colourant, type Resin, type ToldBatch, type ToldCup, type Weighed } from '#core/document';
import { proportioned, ratioError } from '#core/mix';
import type { Weights } from './weights';

/** One thing to weigh or count into a vessel, all g. What is over makes the rest of its vessel need more. */
export interface WeighLine {
  key: string;
  kind: Weighed;
  name: string;
  cup?: ToldCup;
  colourantId?: string;
  planned: number;
  /** What it needs in all, with what others in its vessel are over. */
  target: number;
  /** What was put in, all goes together. */
  inside?: number;
  /** What is still to come; 0 where it is within what can be told. */
  left: number;
  over: number;
  /** Where the scale cannot show it: drops, of how many g of the colourant each. */
  drops?: { each: number };
  /** Parts of clear to one of colourant, where a let-down is counted or weighed; all figures are of the colourant in it. */
  letDown?: number;
}

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

/** What a scale must show of a thing for it to be weighed and not counted: so many of its steps. */
const STEPS = 20;
/** A and B may be so far off without being put right, a share: a fifth of what is flagged. */
const RATIO_SLACK = 0.01;
/** Colourants may be so far off: eyes see less. */
const TINT_SLACK = 0.05;

/** Lines of one vessel, each grown to what is over of the others. */
function vessel(
  lines: Omit<WeighLine, 'target' | 'left' | 'over'>[],
  slackShare: (kind: WeighLine['kind']) => number,
  step: number,
  kept: ReadonlySet<string>,
): { lines: WeighLine[]; k: number } {
  const slack = lines.map((l) => Math.max(slackShare(l.kind) * l.planned, l.drops ? 0.5 * l.drops.each : step / ((l.letDown ?? 0) + 1)));
  // what is left as it is does not make the others grow
  const { k, target } = proportioned(
    lines.map((l) => l.planned),
    lines.map((l) => (kept.has(l.key) ? undefined : l.inside)),
    slack,
  );
  return {
    k,
    lines: overOf(
      lines.map((l, i) => {
        const missing = target[i]! - (l.inside ?? 0);
        const left = kept.has(l.key) || (l.inside !== undefined && missing <= slack[i]! + 1e-9) ? 0 : missing;
        return { ...l, target: target[i]!, left };
      }),
      slack,
    ),
  };
}

/** Says which lines are over while others still have to grow to them; once all are in proportion none is. */
const overOf = (lines: Omit<WeighLine, 'over'>[], slack: number[]): WeighLine[] => {
  const growing = lines.some((l) => l.left > 0);
  return lines.map((l, i) => {
    const more = (l.inside ?? 0) - l.planned;
    return { ...l, over: growing && l.left === 0 && more > slack[i]! ? more : 0 };
  });
};

const fillKey = (cup: ToldCup): string => `fill ${cupKey(cup.id)}`;
const sandKey = (cup: ToldCup): string => `sand ${cupKey(cup.id)}`;
const tintKey = (cup: ToldCup, colourantId: string): string => `tint ${cupKey(cup.id)} ${colourantId}`;

/** What was weighed, by the keys of the lines. */
export function insideOf({ aG, bG, cups }: Weights, told: ToldCup[]): Map<string, number> {
  const inside = new Map<string, number>();
  if (aG !== undefined) inside.set('A', aG);
  if (bG !== undefined) inside.set('B', bG);
  for (const cup of told) {
    const read = cups.get(cupKey(cup.id));
    if (read?.fill !== undefined) inside.set(fillKey(cup), read.fill);
    if (read?.sand !== undefined) inside.set(sandKey(cup), read.sand);
    for (const [id, grams] of read?.colourants ?? []) inside.set(tintKey(cup, id), grams);
  }
  return inside;
}

/** What is weighed: a batch, the cups it fills, and its resin for the ratio. */
export interface OnTheScale {
  batch: Pick<ToldBatch, 'aG' | 'bG'>;
  cups: ToldCup[];
  resin: Resin;
}

/** Lines of one cup: what is filled into it, sand stirred in, and its colourants. */
function cupLines(cup: ToldCup, several: boolean, colourants: Colourant[], inside: ReadonlyMap<string, number>, stepG: number) {
  const put = (key: string): { inside?: number } => (inside.has(key) ? { inside: inside.get(key)! } : {});
  const tints = cup.doses
    .filter((dose) => dose.grams > 0)
    .map(({ colourantId, name, grams, letDown, count }) => {
      const colourant = colourants.find((c) => c.id === colourantId);
      const strength = letDown === undefined ? 1 : 1 / (letDown + 1);
      const each = (colourant?.dropMl ?? 0) * (colourant?.density ?? 0) * strength;
      const counted = each > 0 && count !== undefined && (letDown !== undefined || grams < STEPS * stepG);
      const key = tintKey(cup, colourantId);
      return {
        key,
        kind: 'colourant' as const,
        name,
        cup,
        colourantId,
        planned: grams,
        ...put(key),
        ...(counted && { drops: { each } }),
        ...(letDown !== undefined && { letDown }),
      };
    });
  const key = fillKey(cup);
  const fill = { key, kind: 'fill' as const, name: several ? cup.name : 'Clear to thin it', cup, planned: cup.aG + cup.bG };
  // a lone cup is mixed in itself: its resin is A and B, and what thins it
  const [a, b] = [inside.get('A'), inside.get('B')];
  const mixed = a !== undefined && b !== undefined ? a + b + (inside.get(key) ?? 0) : undefined;
  const own = several ? put(key) : mixed === undefined ? {} : { inside: mixed };
  // sand that is pressed in on the board never goes into the cup
  const sand =
    cup.sandG > 0 && !cup.pressed
      ? [{ key: sandKey(cup), kind: 'sand' as const, name: 'Dry sand', cup, planned: cup.sandG, ...put(sandKey(cup)) }]
      : [];
  return several || tints.length || sand.length ? [{ ...fill, ...own }, ...sand, ...tints] : [];
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
  const put = (key: string): { inside?: number } => (inside.has(key) ? { inside: inside.get(key)! } : {});
  const mix = vessel(
    [
      { key: 'A', kind: 'A', name: 'A', planned: batch.aG, ...put('A') },
      { key: 'B', kind: 'B', name: 'B', planned: batch.bG, ...put('B') },
    ],
    () => RATIO_SLACK,
    stepG,
    new Set(),
  );
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
