import type { Footprint } from './problem';

/** Air left between boards that lie side by side, mm. */
const BETWEEN = 30;

/**
 * Whether boards fit on a place side by side: in rows along its length, each as deep as its deepest board, the longest first
 * and turned so that it takes the least of a row's depth. Never says yes wrongly; a cleverer hand may fit one more.
 */
export function fits(place: Footprint, boards: readonly Footprint[]): boolean {
  if (place.length === Infinity) return true;
  const [long, deep] = place.length >= place.width ? [place.length, place.width] : [place.width, place.length];
  const turned = boards.map((b): [number, number] => {
    const [l, w] = b.length >= b.width ? [b.length, b.width] : [b.width, b.length];
    return l <= long ? [l, w] : [w, l];
  });
  turned.sort((a, b) => b[1] - a[1] || b[0] - a[0]);
  const rows: { depth: number; used: number }[] = [];
  for (const [l, w] of turned) {
    if (l > long) return false;
    const row = rows.find((r) => r.used + BETWEEN + l <= long && w <= r.depth);
    if (row) row.used += BETWEEN + l;
    else rows.push({ depth: w, used: l });
  }
  return rows.reduce((sum, r, i) => sum + r.depth + (i > 0 ? BETWEEN : 0), 0) <= deep;
}
