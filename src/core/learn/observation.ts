import type { Figure, Photo } from '#core/document';
import type { Airs } from '#core/cure';
import type { Planner } from '#core/plan';
import type { Session } from '#core/record';

/** What one pour says of a figure, in the figure's own unit. */
export interface Observation {
  figure: Figure;
  /** The resin or the colourant it belongs to. */
  of?: string;
  pourId: string;
  /** ms since 1970 */
  at: number;
  value: number;
}

/** What pours are looked at with. */
export interface Looked {
  session: Session;
  /** Of this pour, and of its pieces later, until another wave lies on them. */
  photos: Photo[];
  later: Photo[];
  planner: Planner;
  airs: Airs;
}

/** One thing seen of a figure, of one pour. */
export type Seen = Pick<Observation, 'figure' | 'of' | 'value'>;
