import type { Point, Sea } from '#core/document';
import { lengthwise, type Box } from './sides';

/** Whether smooth curves run one way along the shore, and none lies landward of the one before it. */
export function inOrder(curves: Point[][], side: Sea['side'], box: Box): { oneWay: boolean; crossed: boolean } {
  const [along, across] = lengthwise(side) ? (['y', 'x'] as const) : (['x', 'y'] as const);
  const length = lengthwise(side) ? box.height : box.width;
  const lines = curves.map((curve) => curve.map((p) => ({ x: p[along], y: p[across] })));
  const oneWay = lines.every(
    (line) => line.every((p, i) => i === 0 || p.x > line[i - 1]!.x) && line[0]!.x <= 0 && line.at(-1)!.x >= length,
  );
  const seaIsLess = side === 'far' || side === 'left';
  const crossed = oneWay && lines.some((line, i) => i > 0 && landward(line, lines[i - 1]!, seaIsLess ? 1 : -1, length));
  return { oneWay, crossed };
}

/** Height of a curve that runs one way in x, at x, by bisection; beyond its ends it runs level. */
function heightAt(curve: Point[], x: number): number {
  let [low, high] = [0, curve.length - 1];
  if (x <= curve[low]!.x) return curve[low]!.y;
  if (x >= curve[high]!.x) return curve[high]!.y;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (curve[middle]!.x <= x) low = middle;
    else high = middle;
  }
  const [a, b] = [curve[low]!, curve[high]!];
  return a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x);
}

/** Whether a curve somewhere on the board lies landward of the one that should be on its land side. */
const landward = (curve: Point[], before: Point[], sign: number, length: number): boolean =>
  [...curve, ...before].some(({ x }) => x >= 0 && x <= length && sign * (heightAt(curve, x) - heightAt(before, x)) > 0.01);
