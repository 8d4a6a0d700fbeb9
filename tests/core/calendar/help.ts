/** A studio of the tests as its calendar sees it. */
import { steady } from '#core/air';
import { Maker, Planned, type Asked } from '#core/calendar';
import type { DiaryEntry, Piece, Pour } from '#core/document';
import { summaryOf } from '#core/record';
import { check } from '#core/schedule';
import assert from 'node:assert/strict';
import { empty, planner } from '../../factories';

/** Wednesday, 9 o'clock. */
export const NOW = Date.parse('2026-11-25T09:00:00Z');
export const [MINUTE, HOUR, DAY] = [60_000, 3_600_000, 86_400_000];

/** What a calendar of some pieces is asked with, in a room that keeps 23 °C, in UTC. */
export const asked = (pieces: Piece[], change: Partial<Asked> = {}, pours: Pour[] = []): Asked => ({
  pieces,
  summaries: pours.map(summaryOf),
  diary: [],
  resins: empty.resins,
  colourants: empty.colourants,
  method: empty.method,
  rooms: empty.rooms.map((r) => ({ ...r, dayC: 23, nightC: 23 })),
  settings: empty.settings,
  air: [],
  benchC: steady(23)(0),
  zone: 'UTC',
  now: NOW,
  ...change,
});

/** A plan that keeps every rule. */
export function planned(all: Asked): Planned {
  const made = new Maker(planner).make(all);
  const plan = new Planned(all, made);
  assert.deepEqual(check(made.problem, plan.plan).wrong, []);
  return plan;
}

let n = 0;
/** An entry of a diary, with an id of its own. */
export const entry = (fields: Record<string, unknown>): DiaryEntry => ({ id: `e-${n++}`, ...fields }) as DiaryEntry;
/** The same hours on every day of the week. */
export const everyDay = (from: number, until: number): DiaryEntry[] =>
  Array.from({ length: 7 }, (_, weekday) => entry({ kind: 'hours', weekday, spans: [{ from: 60 * from, until: 60 * until }] }));
