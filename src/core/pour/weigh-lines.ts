import { cupKey, type Colourant, type ToldBatch, type ToldCup, type Weighed } from '#core/document';
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

/** A line as it was told, and as it is once something was put in; what is to come of it follows from its whole vessel. */
type Planned = Omit<WeighLine, 'inside' | 'target' | 'left' | 'over'>;
export type Entered = Omit<WeighLine, 'target' | 'left' | 'over'>;

/** What a scale must show of a thing for it to be weighed and not counted: so many of its steps. */
const STEPS = 20;
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

/** What was put in of a line, where anything was. */
const put = (inside: ReadonlyMap<string, number>, key: string): { inside?: number } =>
  inside.has(key) ? { inside: inside.get(key)! } : {};

/** One colourant of a cup: counted in drops where it is thinned or too little for the scale to tell. */
function tintLine(cup: ToldCup, dose: ToldCup['doses'][number], colourants: Colourant[], stepG: number): Planned {
  const { colourantId, name, grams, letDown, count } = dose;
  const colourant = colourants.find((c) => c.id === colourantId);
  const strength = letDown === undefined ? 1 : 1 / (letDown + 1);
  const each = (colourant?.dropMl ?? 0) * (colourant?.density ?? 0) * strength;
  const counted = each > 0 && count !== undefined && (letDown !== undefined || grams < STEPS * stepG);
  return {
    key: tintKey(cup, colourantId),
    kind: 'colourant',
    name,
    cup,
    colourantId,
    planned: grams,
    ...(counted && { drops: { each } }),
    ...(letDown !== undefined && { letDown }),
  };
}

/** The resin of a cup: filled from the mixing cup, or in a lone cup that is mixed in itself A and B and what thins them. */
function fillLine(cup: ToldCup, several: boolean, inside: ReadonlyMap<string, number>): Entered {
  const key = fillKey(cup);
  const line: Planned = { key, kind: 'fill', name: several ? cup.name : 'Clear to thin it', cup, planned: cup.aG + cup.bG };
  if (several) return { ...line, ...put(inside, key) };
  const [a, b] = [inside.get('A'), inside.get('B')];
  return a === undefined || b === undefined ? line : { ...line, inside: a + b + (inside.get(key) ?? 0) };
}

/** Lines of one cup: what is filled into it, sand stirred in, and its colourants. Nothing where a lone cup is plain resin. */
export function cupLines(
  cup: ToldCup,
  several: boolean,
  colourants: Colourant[],
  inside: ReadonlyMap<string, number>,
  stepG: number,
): Entered[] {
  const tints = cup.doses.filter((dose) => dose.grams > 0).map((dose) => tintLine(cup, dose, colourants, stepG));
  // sand that is pressed in on the board never goes into the cup
  const sand: Planned[] =
    cup.sandG > 0 && !cup.pressed
      ? [{ key: sandKey(cup), kind: 'sand', name: cup.gravel ? 'Gravel' : 'Dry sand', cup, planned: cup.sandG }]
      : [];
  const stirredIn = [...sand, ...tints].map((line) => ({ ...line, ...put(inside, line.key) }));
  return several || stirredIn.length ? [fillLine(cup, several, inside), ...stirredIn] : [];
}

/** Lines of a mixing cup: the two parts of the resin. */
export const mixLines = ({ aG, bG }: Pick<ToldBatch, 'aG' | 'bG'>, inside: ReadonlyMap<string, number>): Entered[] => [
  { key: 'A', kind: 'A', name: 'A', planned: aG, ...put(inside, 'A') },
  { key: 'B', kind: 'B', name: 'B', planned: bG, ...put(inside, 'B') },
];
