import type { Pour, ToldBatch } from '#core/document';
import { whiteCourse } from '#core/pour';
import { planner } from '$lib/planner';

/** How thick the white of a batch is, Pa·s, by minutes after its mixing. It brings the planner with it, and is fetched by itself. */
export const thicknessOf = (pour: Pour, batch: ToldBatch): ((min: number) => number) | undefined => whiteCourse(pour, batch, planner);
