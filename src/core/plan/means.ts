import type { Air } from '#core/air';
import type { Doubts } from '#core/cure';
import type { Colourant, Method, Resin } from '#core/document';
import type { LetDowns } from '#core/mix';
import type { Courses } from './courses';

/** What a piece is planned with: the studio's materials and habits, and the air it is poured in. */
export interface Means {
  resins: Resin[];
  colourants: Colourant[];
  method: Method;
  /** At the bench, by minutes after A and B of a batch have met. */
  air: Air;
  /** Reading step of the scale, g; a tenth where it is left out. */
  scaleStep?: number;
  /** How far off what windows rest on may be; the ordinary figures of the trade where it is left out. */
  doubts?: Doubts;
}

/** What every batch of a pour is planned on. */
export interface Bench extends Required<Omit<Means, 'resins'>> {
  /** How cups age here. */
  courses: Courses;
  /** Let-downs the cups of the pour share. */
  letDowns?: LetDowns;
}
