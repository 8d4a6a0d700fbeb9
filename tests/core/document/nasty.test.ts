import assert from 'node:assert/strict';
import { test } from 'node:test';
import { Zone } from '#core/air';
import { Planner } from '#core/plan';
import { openStudio, writeStudio, type Studio } from '#core/document';
import { pieceReport } from '#core/report';
import { nastyStudio } from '../../nasty/documents';
import { unreal } from '../../nasty/unreal';
import { sample } from '../../factories';

/** The attack makes a hundred thousand; here the bounds of every field are met some dozen times. */
const asked = { now: Date.parse('2026-11-25T13:36:00Z'), zone: new Zone('CET'), planner: new Planner() };

test('documents at their bounds give numbers that are such, and no exception', () => {
  let opened = 0;
  for (let seed = 1; seed <= 60; seed++) {
    const made = openStudio(writeStudio(nastyStudio(seed)));
    if (!made.ok) continue;
    opened++;
    assert.deepEqual(unreal(pieceReport(made.studio.pieces[0]!, made.studio, asked)), [], `seed ${seed}`);
  }
  assert.ok(opened > 45);
});

const withMoment = (at: string): string => {
  const studio = structuredClone(sample());
  studio.pours[0]!.events[0]!.at = at;
  return JSON.stringify(studio);
};
test('moments are written one way: in UTC, by the clock and the calendar', () => {
  assert.equal(openStudio(withMoment('2026-11-25T13:36:00Z')).ok, true);
  for (const at of [
    '2026-11-25T13:36:60Z',
    '2026-11-25T13:36:00z',
    '2026-11-25T13:36:00+05',
    '0000-11-25T13:36:00Z',
    '2026-02-30T13:36:00Z',
  ]) {
    const opened = openStudio(withMoment(at));
    assert.equal(opened.ok, false, at);
    if (!opened.ok) assert.match(opened.problems[0]!.expected, /a moment in UTC as 2026-11-25T13:36:00Z/);
  }
});

test('ids, and the numbers of events, are used once', () => {
  const twice = (change: (studio: Studio) => unknown): boolean => {
    const studio = structuredClone(sample());
    change(studio);
    return openStudio(JSON.stringify(studio)).ok;
  };
  assert.equal(
    twice((s) => (s.pours[0]!.events[1]!.seq = 1)),
    false,
  );
  assert.equal(
    twice((s) => s.pieces.push(s.pieces[0]!)),
    false,
  );
  assert.equal(
    twice((s) => s.pieces[0]!.coats.push(s.pieces[0]!.coats[0]!)),
    false,
  );
});

test('a colour of four numbers is told how many there are', () => {
  const studio = structuredClone(sample());
  (studio.colourants[0]!.absorb as number[]).push(1);
  const opened = openStudio(JSON.stringify(studio));
  assert.match(opened.ok ? '' : opened.problems.map((p) => p.expected).join(), /3 in the list/);
});
