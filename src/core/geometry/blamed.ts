import { linesOf, type Sea } from '#core/document';
import { CutError } from './allowance';
import { crossings, lineOf } from './curve';

/** Crossings of one curve with itself that are told apart from more. */
const MANY = 500;

/** An error of a cut, with the curve that crosses itself most; any other as it is. */
export function blamed(error: unknown, sea: Sea): unknown {
  if (!(error instanceof CutError) || error.curve !== undefined) return error;
  const counts = linesOf(sea).map(({ key, points, closed }) => ({ key, count: crossings(lineOf(points, closed), closed, MANY) }));
  const most = counts.reduce((a, b) => (b.count > a.count ? b : a));
  return new CutError(most.count ? most.key : undefined, { cause: error });
}
