import type { DrawnLine, Point } from '#core/document';
import { lineOf, partsOf, type Region } from '#core/geometry';
import type { PiecePlan } from '#core/plan';

/** Chords that stand for a stretch between two points of a smooth curve. */
const CHORDS = 12;

/** The middle of the stretch after a point, on the curve; before the last point of an open one. */
export function between({ points, closed }: DrawnLine, index: number): { after: number; place: Point } {
  const after = !closed && index === points.length - 1 ? index - 1 : index;
  return { after, place: lineOf(points, closed)[(after * CHORDS + CHORDS / 2) % (points.length * CHORDS)]! };
}

/** The place of a curve nearest to a point, and the point of the curve it comes after. */
export function nearest({ points, closed }: DrawnLine, to: Point): { after: number; place: Point } {
  const line = lineOf(points, closed);
  let best = 0;
  let least = Infinity;
  line.forEach((p, i) => {
    const d = Math.hypot(p.x - to.x, p.y - to.y);
    if (d < least) [best, least] = [i, d];
  });
  const after = Math.min(Math.floor(best / CHORDS), closed ? points.length - 1 : points.length - 2);
  return { after, place: line[best]! };
}

/**
 * The part of the board a coat goes over, or that of one cup of it: what a chart marks. A coat as wide as the board or its
 * sea needs no mark; what is marked is a part chosen by hand.
 * @param cup the key of one, where one is chosen
 */
export function markedRegions({ coats }: PiecePlan, coatId: string, cup: string | undefined): Region[] {
  const coat = coats.find((c) => c.coat.id === coatId);
  if (!coat) return [];
  const { sea } = coat.regions;
  const tint = coat.cups.find((c) => c.key === cup)?.id.tint;
  const own = tint === undefined || coat.coat.kind !== 'sea' ? undefined : sea[sea.length - 1 - tint];
  if (own) return [own];
  const partly = coat.coat.over !== undefined || Boolean(coat.coat.inset);
  return partly ? partsOf(coat.regions).filter((r) => r.area > 0) : [];
}
