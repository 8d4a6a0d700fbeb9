import assert from 'node:assert/strict';
import { test } from 'node:test';
import { isQuiet, noticesAt, shownOf, type Told } from '#core/calendar';
import { piece, pourOf, utc } from '../../factories';
import { asked, HOUR, MINUTE, NOW, planned } from './help';

const panel = piece({ dueOn: '2026-11-26' });
const pour = pourOf(panel, new Date(NOW).toISOString(), [
  [1, { kind: 'mixed', batch: 0 }],
  [40, { kind: 'done' }],
]);
const { recoatFrom, bondUntil } = planned(asked([panel], { now: NOW + HOUR }, [pour])).made.standings[0]!.curing!;
const nothing: Told = { told: {}, putOff: {}, done: {} };
function at(now: number) {
  const plan = planned(asked([panel], { now }, [pour]));
  return noticesAt(plan.calendar, plan.made.standings, now, utc);
}
const keys = (now: number): string[] => at(now).map((n) => n.key.split('/')[0]!);

test('a window that opens, one about to close, a pour that begins and a promise that slips are each told, and nothing else', () => {
  assert.ok(!keys(recoatFrom - MINUTE).includes('opens'));
  assert.ok(keys(recoatFrom).includes('opens'));
  assert.ok(!keys(recoatFrom + 6.1 * HOUR).includes('opens'), 'it is no news any more');
  assert.ok(keys(bondUntil - HOUR).includes('closes'));
  assert.ok(!keys(bondUntil).includes('closes'));
  assert.ok(keys(NOW + 5 * HOUR).includes('slips'));
  const plan = planned(asked([panel], { now: NOW + 5 * HOUR }, [pour]));
  const next = plan.calendar.sessions.find((s) => s.kind === 'pour')!;
  assert.ok(noticesAt(plan.calendar, plan.made.standings, next.from - 10 * MINUTE, utc).some((n) => n.key.startsWith('begins')));
});

test('never twice for the same thing: its key stays while its minute moves', () => {
  const [first, later] = [at(recoatFrom + MINUTE), at(recoatFrom + HOUR)].map((all) => all.find((n) => n.key.startsWith('opens'))!.key);
  assert.equal(first, later);
  const all = at(recoatFrom + HOUR);
  const told: Told = { ...nothing, done: { [first!]: NOW } };
  assert.ok(shownOf(all, told, recoatFrom + HOUR, utc).every((n) => n.key !== first));
});

test('put off for half an hour it is back after that', () => {
  const now = recoatFrom + HOUR;
  const [notice] = at(now);
  const told: Told = { ...nothing, putOff: { [notice!.key]: now + 30 * MINUTE } };
  assert.ok(!shownOf([notice!], told, now, utc).length);
  assert.equal(shownOf([notice!], told, now + 31 * MINUTE, utc).length, 1);
});

test('in quiet hours nothing is told, over midnight too', () => {
  const night = { from: 22 * 60, until: 7 * 60 };
  const midnight = Date.parse('2026-11-26T00:00:00Z');
  assert.ok(isQuiet(night, midnight, utc));
  assert.ok(isQuiet(night, midnight + 6.9 * HOUR, utc));
  assert.ok(!isQuiet(night, midnight + 7 * HOUR, utc));
  assert.ok(!isQuiet(undefined, midnight, utc));
  assert.ok(!isQuiet({ from: 0, until: 0 }, midnight, utc));
  assert.ok(isQuiet({ from: 13 * 60, until: 14 * 60 }, midnight + 13.5 * HOUR, utc));
  assert.deepEqual(shownOf(at(NOW + 7 * HOUR), { ...nothing, quiet: { from: 0, until: 1439 } }, NOW + 7 * HOUR, utc), []);
});
