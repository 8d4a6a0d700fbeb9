import assert from 'node:assert/strict';
import { test } from 'node:test';
import { adviseDays, bondMissed, coatWhileAway, notPlanned, promiseTight, tackOutlasts, waitsOnShelf, type Days } from '#core/advice';
import type { DiaryEntry, Piece, Pour } from '#core/document';
import { piece, pourOf, utc } from '../../factories';
import { asked, DAY, entry, everyDay, HOUR, NOW, planned } from '../calendar/help';

const panel = piece({ name: 'Kelp Cove' });
const iso = (ms: number): string => new Date(ms).toISOString();
/** The days of some pieces as rules see them. */
function days(pieces: Piece[], diary: DiaryEntry[] = [], pours: Pour[] = [], short: Days['short'] = []): Days {
  return { calendar: planned(asked(pieces, { diary }, pours)).calendar, pieces, zone: utc, short, room: 'the loft' };
}
const pinned = (ms: number, id: string): DiaryEntry => entry({ kind: 'pin', operation: id, at: iso(ms) });
const poured = (p: Piece, ago: number): Pour =>
  pourOf(p, iso(NOW - ago), [
    [1, { kind: 'mixed', batch: 0 }],
    [40, { kind: 'done' }],
  ]);

test('coat-while-away: the window opens and closes while the artist is away, and the scuff is put in', () => {
  const away = Array.from({ length: 3 }, (_, i) => entry({ kind: 'day', on: iso(NOW + i * DAY).slice(0, 10), spans: [] }));
  const found = coatWhileAway(days([panel], [...everyDay(9, 21), ...away], [poured(panel, 2 * HOUR)]));
  assert.equal(found.length, 1);
  assert.match(found[0]!.says, /Kelp Cove is open for its next coat from Wed 25 Nov .* and you are away/);
  assert.match(found[0]!.why, /a scuff of \d+ min is put in before it/);
  assert.deepEqual(coatWhileAway(days([panel], everyDay(9, 21), [poured(panel, 2 * HOUR)])), []);
});

test('bond-missed: a window that is past is scuffed; one that is held open is not', () => {
  const found = bondMissed(days([panel], everyDay(9, 21), [poured(panel, 3 * DAY)]));
  assert.equal(found.length, 1);
  assert.match(found[0]!.says, /Kelp Cove is scuffed before “Pour/);
  assert.deepEqual(bondMissed(days([panel], everyDay(9, 21), [poured(panel, 2 * HOUR)])), []);
});

test('tack-outlasts: what lies is tacky when guests come; tack-tight where it is only just dry; neither without guests', () => {
  const guests = (from: number): DiaryEntry => entry({ kind: 'no resin', what: 'guests', from: iso(from), until: iso(from + 12 * HOUR) });
  const pour = poured(panel, HOUR);
  const [over] = tackOutlasts(days([panel], [guests(NOW + 3 * HOUR)], [pour]));
  assert.equal(over!.code, 'tack-outlasts');
  assert.match(over!.says, /Kelp Cove is tacky until .* and “guests” begins Wed 25 Nov 12:00/);
  const dry = days([panel], [], [pour]).calendar.lanes[0]!.stretches.find((s) => s.doing === 'tacky')!.until;
  const [tight] = tackOutlasts(days([panel], [guests(dry + HOUR)], [pour]));
  assert.equal(tight!.code, 'tack-tight');
  assert.deepEqual(tackOutlasts(days([panel], [], [pour])), []);
});

test('not-planned: pieces that find no slot are told by what stands in their way; nothing where all have theirs', () => {
  const away = Array.from({ length: 7 }, (_, weekday) => entry({ kind: 'hours', weekday, spans: [] }));
  const two = [piece({ id: 'a', name: 'Left' }), piece({ id: 'b', name: 'Right' })];
  const [found, ...more] = notPlanned(days(two, away));
  assert.deepEqual(more, []);
  assert.deepEqual([found!.severity, found!.pieceIds], ['stop', ['a', 'b']]);
  assert.equal(found!.says, 'Left and Right cannot be planned.');
  assert.match(found!.fix, /^You have no hours in the next 90 days/);
  assert.equal(adviseDays(days(two, away))[0]!.code, 'not-planned');
  assert.deepEqual(notPlanned(days(two)), []);
});

test('promise-tight: less than a day to spare; promise-broken: none; nothing where there are days', () => {
  const ready = days([piece({ dueOn: '2026-12-24' })]).calendar.lanes[0]!.ready!;
  const on = (ms: number): Piece => piece({ name: 'Kelp Cove', dueOn: iso(ms).slice(0, 10) });
  const [tight] = promiseTight(days([on(ready)]));
  assert.equal(tight!.code, 'promise-tight');
  assert.match(tight!.says, /with \d+ h.* to spare/);
  const [broken] = promiseTight(days([on(ready - DAY)]));
  assert.equal(broken!.code, 'promise-broken');
  assert.equal(broken!.severity, 'stop');
  assert.deepEqual(promiseTight(days([on(ready + 3 * DAY)])), []);
  // a day of another year says which
  assert.match(promiseTight(days([on(Date.parse('2020-01-01T00:00Z'))]))[0]!.says, /promised for 1 Jan 2020 and is ready/);
});

test('waits-on-shelf: what the next pour wants and the shelf has not; nothing for a piece without a pour', () => {
  const short = [{ pieceId: panel.id, says: '300 ml of slow resin' }];
  const [found] = waitsOnShelf(days([panel], [], [], short));
  assert.match(found!.says, /Kelp Cove is poured Wed 25 Nov .* short of 300 ml of slow resin/);
  assert.deepEqual(waitsOnShelf(days([panel], [], [], [{ pieceId: 'other', says: 'sand' }])), []);
  assert.deepEqual(waitsOnShelf(days([panel])), []);
});

test('a new piece with ordinary hours is warned of nothing, and the most severe comes first', () => {
  assert.deepEqual(adviseDays(days([panel])), []);
  const late = piece({ id: 'late', name: 'Late', dueOn: '2026-11-26' });
  const first = planned(asked([panel])).calendar.sessions.find((s) => s.kind === 'pour')!;
  const all = adviseDays(days([panel, late], [pinned(first.begins, first.id)], [], [{ pieceId: panel.id, says: 'sand' }]));
  assert.deepEqual(
    all.map((f) => f.severity),
    ['stop', 'warn'],
  );
});
