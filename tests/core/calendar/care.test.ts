import assert from 'node:assert/strict';
import { test } from 'node:test';
import { afterPour, careDue, sayCare, type Care } from '#core/calendar';
import type { DiaryEntry, Piece } from '#core/document';
import { standingOf, summaryOf } from '#core/record';
import { airs, empty, means, piece, pourOf, utc } from '../../factories';

const began = '2026-11-25T15:00:00.000Z';
const poured = (p: Piece) =>
  summaryOf(
    pourOf(p, began, [
      [5, { kind: 'mixed', batch: 0 }],
      [50, { kind: 'done' }],
    ]),
  );
const around = { airs, means, room: empty.rooms[0]! };
const at = (ms: number): string => utc.civil(ms);
const after = (p: Piece, diary: DiaryEntry[] = []): Care[] => {
  const pour = poured(p);
  return afterPour(pour, [standingOf(p, [pour], around, Date.parse(began) + 3_600_000)], airs, diary, utc);
};

test('after a pour: drips while wet, a look before bed and one in the morning, and when the next coat may come', () => {
  const care = after(piece());
  assert.deepEqual(
    care.map((c) => c.kind),
    ['drips', 'evening', 'next coat', 'morning'],
  );
  const [drips, evening, , morning] = care;
  assert.ok(drips!.from >= Date.parse(began) + 50 * 60_000 && drips!.until > drips!.from);
  assert.deepEqual([at(evening!.from).slice(11), at(evening!.until).slice(11)], ['20:00', '21:00'], 'the last hour of the artist’s day');
  assert.equal(at(morning!.from), '2026-11-26T09:00');
  for (const c of care) assert.ok(sayCare[c.kind].does);
});

test('their hours are the artist’s: a day that ends early, and a pour that ends after it', () => {
  const early: DiaryEntry[] = [{ id: 'd', kind: 'day', on: '2026-11-25', spans: [{ from: 600, until: 960 }] }];
  const evening = after(piece(), early).find((c) => c.kind === 'evening')!;
  assert.equal(at(evening.from).slice(11), '16:50', 'an hour after the pour, where the day is over');
});

test('taped edges: while soft in its window, after hardening when it can be handled; none where none runs over', () => {
  const taped = (tapeOff: Piece['tapeOff']) => {
    const p = piece({ edge: 'taped', ...(tapeOff && { tapeOff }) });
    return after({ ...p, coats: p.coats.slice(0, 3) });
  };
  const soft = taped('while soft').find((c) => c.kind === 'tape')!;
  assert.ok(soft.until < Infinity && soft.works.length === 1);
  const hard = taped('after hardening').find((c) => c.kind === 'tape')!;
  assert.deepEqual([hard.until, hard.works.length], [Infinity, 0]);
  assert.ok(!taped(undefined).some((c) => c.kind === 'drips'));
  assert.ok(taped(undefined).some((c) => c.kind === 'hard'));
});

test('what is to be seen to is asked for until it was, or is long past', () => {
  const p = piece();
  const pour = poured(p);
  const stands = (now: number) => [standingOf(p, [pour], around, now)];
  const done = Date.parse(began) + 50 * 60_000;
  const due = (now: number, diary: DiaryEntry[] = []) => careDue(stands(now), airs, diary, utc, now).map((c) => c.kind);
  assert.deepEqual(due(done), ['drips', 'evening', 'morning']);
  const taken: DiaryEntry[] = [{ id: 'x', kind: 'did', operation: `test/care-evening-${pour.id}`, at: began }];
  assert.deepEqual(due(done, taken), ['drips', 'morning']);
  assert.deepEqual(due(done + 20 * 3_600_000), ['morning']);
  assert.deepEqual(due(done + 30 * 3_600_000), []);
});
