import type { Likely } from '#core/cure';

/** A moment with the stretch it lies in four times in five; ms since 1970. */
export interface LikelyMoment {
  middle: number;
  from: number;
  until: number;
}

const MINUTE = 60_000;

/** When A and B must meet so that something of their batch comes at a moment. @param comes minutes after they meet @param at ms since 1970 */
export const meetFor = (comes: Likely, at: number): LikelyMoment => ({
  middle: at - comes.middle * MINUTE,
  from: at - comes.until * MINUTE,
  until: at - comes.from * MINUTE,
});
