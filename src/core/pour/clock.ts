import type { Pour, ToldBatch } from '#core/document';
import { aged } from '#core/cure';
import { whiteClock, whiteThickness } from '#core/plan';

/**
 * How thick the white of a told batch is, Pa·s, at a minute after its mixing; undefined where it has none or its resin is
 * not known any more.
 */
export function whiteCourse({ planned, roomC }: Pick<Pour, 'planned' | 'roomC'>, batch: ToldBatch): ((min: number) => number) | undefined {
  const { resins, method, colourants } = planned;
  const resin = resins.find((r) => r.id === batch.resinId);
  if (!resin || !batch.whiteCup) return undefined;
  const bench = { method, colourants, roomC, scaleStep: 0.1 };
  const clock = whiteClock(aged(resin, method.activationEa), batch.whiteCup.ml, batch.whiteCup.multiplier, bench);
  return (min) => whiteThickness(clock, bench, min);
}
