import { Planner } from '#core/plan';

/** The one planner of this window: every screen plans with it, so that what one has worked out the next need not. */
export const planner = new Planner();
