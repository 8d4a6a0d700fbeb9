import { at } from './fluidity';
import type { Foam } from './state';

/** What is the same for all of the board at a moment: its cold film. */
export interface Cold {
  /** Thinning by age at the room's temperature, beside fresh. */
  old: number;
  /** Fluidity of the film at the room's temperature, 1/(Pa·s). */
  fluid: number;
  /** How far so thick a film holds cells open, 0 to 1. */
  holds: number;
}

export function coldOf(foam: Foam): Cold {
  const old = Math.exp(-foam.physical.thickens * foam.age);
  const fluid = at(foam.fluid, foam.roomC) * old;
  return { old, fluid, holds: 1 / (1 + (foam.tuned.holds * fluid) ** 4) };
}

/** How much warmth drives the white apart: by the fall of surface tension (Oron, Davis, Bankoff 1997), taken as linear. */
export const warmthOf = (foam: Foam, skinC: number): number => 1 + (skinC - foam.roomC) / foam.tuned.warmth;

/** White beside what closes it, where cells have drawn it into their walls. */
export const closeness = (foam: Foam, w: number, open: number): number => w / (Math.max(1 - open, 0.1) * foam.tuned.closedAt);
