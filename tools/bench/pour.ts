/** A pour that goes another way: how long the rest takes to be planned again, of four panels by turns. */
import { benchOf, replanOf, type Saying } from '#core/bench';
import type { Pour, PourEvent } from '#core/document';
import { tell } from '#core/pour';
import { readSession } from '#core/record';
import { writesIn } from '#core/units';
import { means, median, ms, planner, print, studio } from './figures';

const panel = studio.pieces.find((p) => p.id === 'kelp-cove-2')!;
const pieces = [1, 2, 3, 4].map((n) => ({ ...panel, id: `panel-${n}`, name: `Panel ${n}` }));
const together = planner.together(
  pieces.map((piece) => ({ plan: planner.plan(piece, means), pour: 0 })),
  means,
);
const started = Date.parse('2026-11-25T10:00:00Z');
const told = tell(together, means.air(0));
const white = told.steps.findIndex((s) => s.id.does === 'line' || s.id.does === 'white');
const at = (min: number): string => new Date(started + min * 60_000).toISOString();
const events = told.steps.slice(0, white).map((step, i): PourEvent => {
  const own = { seq: i + 1, at: at(step.at) };
  return step.id.does === 'mix' ? { ...own, kind: 'mixed', batch: step.id.batch ?? 0 } : { ...own, kind: 'did', step: step.id };
});
const pour: Pour = {
  id: 'pour',
  of: pieces.map((p) => ({ pieceId: p.id, coatIds: told.coats.filter((c) => c.piece === p.id).map((c) => c.coat) })),
  planned: { pieces, resins: means.resins, colourants: means.colourants, room: studio.rooms[0]!, method: means.method },
  told,
  startedAt: at(0),
  roomC: means.air(0),
  events,
};
const said: Saying = { write: writesIn(studio.settings), time: (moment) => new Date(moment).toISOString().slice(11, 16) };

/** From a press to the rest planned again: the record read, every clock run, every way to go on worked out. */
function timed(happens: PourEvent[], min: number): { name: string; medianMs: number; longestMs: number } {
  const times: number[] = [];
  let name = '';
  for (let i = 0; i < 60; i++) {
    const begun = performance.now();
    const session = readSession({ ...pour, events: [...events, ...happens] });
    const found = replanOf(benchOf(session, started + min * 60_000, planner), said);
    times.push(performance.now() - begun);
    name = found?.name.split(' ').slice(0, 2).join(' ') ?? 'as told';
  }
  return { name, medianMs: ms(median(times)), longestMs: ms(Math.max(...times)) };
}

const last = told.steps[white]!;
const seq = events.length + 1;
const cup = told.cups.find((c) => c.id.role === 'white')!;
print({
  bench: 'the rest of a pour planned again, four panels by turns',
  steps: told.steps.length,
  left: told.steps.length - white,
  asTold: timed([], last.at),
  late: timed([], last.at + 90),
  spilled: timed([{ seq, at: at(last.at), kind: 'cup lost', cup: cup.id, how: 'spilled', ml: cup.ml }], last.at),
  warmer: timed([{ seq, at: at(last.at), kind: 'bench', celsius: means.air(0) + 8 }], last.at),
});
