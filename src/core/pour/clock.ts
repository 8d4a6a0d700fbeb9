import { steady } from '#core/air';
import type { Pour, ToldBatch } from '#core/document';
import type { Planner } from '#core/plan';

/**
 * How thick the white of a told batch is, Pa·s, at a minute after its mixing; undefined where it has none or its resin is
 * not known any more.
 */
export const whiteCourse = (
  { planned, roomC }: Pick<Pour, 'planned' | 'roomC'>,
  batch: ToldBatch,
  planner: Planner,
): ((min: number) => number) | undefined => planner.whiteOf(batch, { ...planned, air: steady(roomC) });
