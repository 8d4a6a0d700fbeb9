import { areaOf, common, joinedPaths, toPaths, turned, without, type Paths } from './clip';
import { rightOf, type Box } from './sides';
import type { Point } from '#core/document';
import type { Ring } from './shapes/ring';

/** A shore and its edges as smooth lines. */
export interface Shore {
  line: Point[];
  edges: Point[][];
  closed: boolean;
  /** Whether land is on the right of its run. */
  right: boolean;
}

/** The land of one line of a shore: inside an island, else all on its land side. */
export function landRing({ closed, right }: Pick<Shore, 'closed' | 'right'>, line: Point[], box: Box, upright: boolean): Ring {
  return closed ? line : rightOf(right ? line : [...line].reverse(), box, upright);
}

/**
 * Lands of all shores at edge j, counted from the shorelines; a shore without that edge takes no part of that tint. They
 * are joined before anything is cut by them, so that a tangle is taken apart once.
 */
function landsAt(shores: Shore[], j: number, box: Box, upright: boolean): Paths {
  const lineAt = ({ line, edges }: Shore): Point[] => (j === 0 ? line : (edges[Math.min(j, edges.length) - 1] ?? line));
  return joinedPaths(turned(toPaths(shores.map((shore) => landRing(shore, lineAt(shore), box, upright)))));
}

/**
 * Beach and sea where shores are several or their curves run freely: each part is what lies landward of the next edges
 * and not of those before, so that the parts add up whatever the curves do.
 * @param edges tint edges of the sea
 */
export function nested(cover: Paths, shores: Shore[], edges: number, box: Box, upright: boolean): { parts: Paths[]; crossed: boolean } {
  const parts: Paths[] = [];
  let water = cover;
  let crossed = false;
  let before: Paths | undefined;
  for (let j = 0; j <= edges; j++) {
    const land = landsAt(shores, j, box, upright);
    if (before && areaOf(common(cover, without(before, land))) > 1) crossed = true;
    parts.push(common(water, land));
    water = without(water, land);
    before = land;
  }
  return { parts: [...parts, water], crossed };
}
