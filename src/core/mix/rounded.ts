import type { Method, Resin } from '#core/document';
import { ratioError, split, type Split } from './ratio';

/** What can really be measured of a mix, and how far that is from the ratio. */
export interface Rounded {
  parts: Split;
  /** Of the ratio; positive is too much hardener. */
  error: number;
}

/** Both parts to what a scale shows. @param stepG its reading step, g */
export function roundedToScale({ aG, bG }: Split, resin: Resin, stepG: number): Rounded {
  const [a, b] = [aG, bG].map((g) => Math.round(g / stepG) * stepG) as [number, number];
  return { parts: { aG: a, bG: b, aMl: a / resin.densityA, bMl: b / resin.densityB }, error: ratioError(a, b, resin) };
}

/** A ratio this near is taken as it is, rather than mix more. */
const NEAR = 0.01;
/** No more than this much over what is needed is mixed for the sake of a line. */
const OVER = 1.25;

/**
 * Both parts to the lines of marked cups: the first pair of lines from the amount up whose ratio is right to 1 %, else
 * the best one within a quarter over.
 * @param ml    mix that is needed
 * @param stepMl between the lines, ml
 */
export function roundedToMarks(ml: number, resin: Resin, stepMl: number): Rounded {
  const { aMl, bMl } = split(ml, resin);
  const pairs: Rounded[] = [];
  const first = Math.max(1, Math.ceil(aMl / stepMl - 1e-9));
  for (let n = first; n <= Math.max(first, Math.ceil((OVER * aMl) / stepMl)); n++) {
    const a = n * stepMl;
    const b = Math.max(1, Math.round((a * bMl) / aMl / stepMl)) * stepMl;
    const parts = { aMl: a, bMl: b, aG: a * resin.densityA, bG: b * resin.densityB };
    const error = ratioError(parts.aG, parts.bG, resin);
    if (Math.abs(error) <= NEAR) return { parts, error };
    pairs.push({ parts, error });
  }
  return pairs.reduce((best, p) => (Math.abs(p.error) < Math.abs(best.error) ? p : best));
}

/**
 * Ratio error when one part's own cup is poured out but not scraped: it keeps what any cup keeps. A left behind is too
 * much hardener, B left behind too little. A 93.5 ml: 1 ml and 2 % stay, +3.17 %.
 */
export function unscraped({ aMl, bMl }: Split, { cupStays, cupShare }: Method): { a: number; b: number } {
  const left = (ml: number): number => Math.max(0, ml - cupStays - cupShare * ml);
  return { a: aMl / left(aMl) - 1, b: left(bMl) / bMl - 1 };
}
