import type { Point, Sea } from '#core/document';
import type { Ring } from './shapes/ring';

/** How far beyond the board a curve is run on, mm: past anything that could be on the board. */
const BEYOND = 10_000;

export interface Box {
  width: number;
  height: number;
}

/** Whether the sea lies across the run of a far or near shore, or along it. */
export const lengthwise = (side: Sea['side']): boolean => side === 'left' || side === 'right';

/** A place on the far square, by how far round it lies counter-clockwise on the screen from its lower left corner, 0 to 4. */
function exitOf(p: Point, { width, height }: Box, upright: boolean): { at: Point; round: number } {
  const gaps = { left: p.x, right: width - p.x, top: p.y, bottom: height - p.y };
  // where two sides are as near, the one the sea's shores end on
  const order = upright ? (['top', 'bottom', 'left', 'right'] as const) : (['left', 'right', 'top', 'bottom'] as const);
  const side = order.reduce((best, s) => (gaps[s] < gaps[best] ? s : best), order[0]);
  const share = (v: number): number => (v + BEYOND) / (2 * BEYOND + Math.max(width, height));
  const [far, farX, farY] = [-BEYOND, width + BEYOND, height + BEYOND];
  switch (side) {
    case 'bottom':
      return { at: { x: p.x, y: farY }, round: share(p.x) };
    case 'right':
      return { at: { x: farX, y: p.y }, round: 1 + share(height - p.y) };
    case 'top':
      return { at: { x: p.x, y: far }, round: 2 + share(width - p.x) };
    case 'left':
      return { at: { x: far, y: p.y }, round: 3 + share(p.y) };
  }
}

/**
 * The land of an open curve as a polygon far larger than the board: the curve, run straight off the board at both ends
 * by the nearest side, and closed round its right hand.
 * @param line a smooth curve with its land on its right
 */
export function rightOf(line: Point[], box: Box, upright: boolean): Ring {
  const [first, last] = [exitOf(line[0]!, box, upright), exitOf(line.at(-1)!, box, upright)];
  const corners: Point[] = [
    { x: -BEYOND, y: box.height + BEYOND },
    { x: box.width + BEYOND, y: box.height + BEYOND },
    { x: box.width + BEYOND, y: -BEYOND },
    { x: -BEYOND, y: -BEYOND },
  ];
  // from the end, clockwise on the screen, back to the beginning: the right hand is what is gone round
  const between: Point[] = [];
  let from = last.round;
  if (from < first.round) from += 4;
  for (let corner = Math.ceil(from) - 1; corner > first.round; corner--) between.push(corners[((corner % 4) + 4) % 4]!);
  return [first.at, ...line, last.at, ...between];
}
