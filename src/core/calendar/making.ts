import type { Zone } from '#core/air';
import type { DiaryEntry, Method } from '#core/document';
import type { Means, Planner } from '#core/plan';
import type { Operation } from '#core/schedule';
import type { Films } from './films';
import type { About } from './work';

export const MINUTE = 60_000;

/** What jobs are made of. */
export interface Making {
  planner: Planner;
  means: Means;
  method: Method;
  films: Films;
  diary: readonly DiaryEntry[];
  zone: Zone;
  /** Beginning of the plan, ms since 1970. */
  start: number;
}

/** Minutes from the beginning of the plan; before it they are negative. */
export const minuteOf = (ms: number, { start }: Making): number => (ms - start) / MINUTE;

/** An operation with what it is. */
export interface Told {
  operation: Operation;
  about: About;
  along: About[];
}

/** The piece that something is done to. */
export const pieceOf = (operation: string): string => operation.split('/')[0]!;
