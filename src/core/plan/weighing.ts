import type { Colourant } from '#core/document';
import { proportioned, ratioError } from '#core/mix';
import type { Batch } from './batch';
import type { Cup } from './cups';

/** One thing to weigh or count into a vessel, all g. What is over makes the rest of its vessel want more. */
export interface WeighLine {
  key: string;
  kind: 'A' | 'B' | 'fill' | 'sand' | 'colourant';
  name: string;
  cup?: Cup;
  colourantId?: string;
  planned: number;
  /** What it wants in all, with what others in its vessel are over. */
  wanted: number;
  /** What was put in, all goes together. */
  inside?: number;
  /** What is still to come; 0 where it is within what can be told. */
  left: number;
  over: number;
  /** Where the scale cannot show it: drops, of how many g of the colourant each, and the let-down they are of. */
  drops?: { each: number; letDown?: number };
}

/** A batch at the scale: its lines in order, and what has become of its ratio and its size. */
export interface Weighing {
  lines: WeighLine[];
  /** The first line that wants something; undefined when all is in. */
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
  lines: Omit<WeighLine, 'wanted' | 'left' | 'over'>[],
  slackShare: (kind: WeighLine['kind']) => number,
  step: number,
  kept: ReadonlySet<string>,
): { lines: WeighLine[]; k: number } {
  const slack = lines.map((l) => Math.max(slackShare(l.kind) * l.planned, l.drops ? 0.5 * l.drops.each : step));
  // what is left as it is does not make the others grow
  const { k, wanted } = proportioned(
    lines.map((l) => l.planned),
    lines.map((l) => (kept.has(l.key) ? undefined : l.inside)),
    slack,
  );
  return {
    k,
    lines: overOf(
      lines.map((l, i) => {
        const missing = wanted[i]! - (l.inside ?? 0);
        const left = kept.has(l.key) || (l.inside !== undefined && missing <= slack[i]! + 1e-9) ? 0 : missing;
        return { ...l, wanted: wanted[i]!, left };
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

/**
 * What is to be weighed for a batch, after what is in its vessels already. Nothing can be taken out again, so whatever is
 * over makes the rest of its vessel grow until every proportion is right.
 * @param inside what was put in, by the key of its line, g
 * @param stepG  of the scale, g
 * @param kept   lines that are left as they are, by their key
 */
export function weighingOf(
  batch: Batch,
  colourants: Colourant[],
  inside: ReadonlyMap<string, number>,
  stepG: number,
  kept: ReadonlySet<string> = new Set(),
): Weighing {
  const { parts, cups } = batch;
  const put = (key: string): { inside?: number } => (inside.has(key) ? { inside: inside.get(key)! } : {});
  const mix = vessel(
    [
      { key: 'A', kind: 'A', name: 'A', planned: parts.aG, ...put('A') },
      { key: 'B', kind: 'B', name: 'B', planned: parts.bG, ...put('B') },
    ],
    () => RATIO_SLACK,
    stepG,
    new Set(),
  );
  const filled = cups.flatMap((cup) => {
    const grams = cup.parts.aG + cup.parts.bG;
    const fill = {
      key: `fill ${cup.key}`,
      kind: 'fill' as const,
      name: cups.length > 1 ? cup.name : 'Clear to thin it',
      cup,
      planned: grams,
    };
    const tints = cup.doses
      .filter((dose) => dose.grams > 0)
      .map((dose) => {
        const colourant = colourants.find((c) => c.id === dose.colourantId);
        const each = (colourant?.dropMl ?? 0) * (colourant?.density ?? 0) * (dose.letDown ? 1 / (dose.letDown + 1) : 1);
        const counted = each > 0 && (dose.letDown !== undefined || dose.grams < STEPS * stepG);
        return {
          key: `tint ${cup.key} ${dose.colourantId}`,
          kind: 'colourant' as const,
          name: dose.name,
          cup,
          colourantId: dose.colourantId,
          planned: dose.grams,
          ...put(`tint ${cup.key} ${dose.colourantId}`),
          ...(counted && { drops: { each, ...(dose.letDown && { letDown: dose.letDown }) } }),
        };
      });
    // a lone cup is mixed in itself: its resin is A and B
    // a lone cup is mixed in itself: its resin is A and B, and what thins it
    const [a, b] = [inside.get('A'), inside.get('B')];
    const mixed = a !== undefined && b !== undefined ? a + b + (inside.get(fill.key) ?? 0) : undefined;
    const own = cups.length > 1 ? put(fill.key) : mixed === undefined ? {} : { inside: mixed };
    const sand =
      cup.sandG > 0
        ? [{ key: `sand ${cup.key}`, kind: 'sand' as const, name: 'Dry sand', cup, planned: cup.sandG, ...put(`sand ${cup.key}`) }]
        : [];
    if (cups.length === 1 && !tints.length && !sand.length) return [];
    return vessel(
      [{ ...fill, ...own }, ...sand, ...tints],
      (kind) => (kind === 'fill' ? RATIO_SLACK : TINT_SLACK),
      stepG,
      kept,
    ).lines.filter((l) => cups.length > 1 || l.kind !== 'fill' || l.left > 0);
  });
  const lines = [...mix.lines, ...filled];
  const current = lines.find((l) => l.left > 0);
  const [a, b] = [inside.get('A'), inside.get('B')];
  const planned = parts.aG + parts.bG;
  return {
    lines,
    ...(current && { current }),
    ...(a !== undefined && b !== undefined && { error: ratioError(a, b, batch.resin) }),
    total: mix.k * planned,
    surplus: (mix.k - 1) * planned,
  };
}
