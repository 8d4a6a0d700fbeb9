import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { test } from 'node:test';
import type { Pour, StepRef } from '#core/document';
import { benchClockOf } from '#core/pour';
import { plannedBesideDone, readSession, weighed } from '#core/record';
import { usagesOf, type Usage } from '#core/stock';
import { planner } from '../../factories';

/**
 * A pour as it was stored, with the lines of its log and what it took from the shelf as they were read then. It is never
 * written anew: what was told is never planned again, so no change of the planner may alter any of it.
 */
interface Frozen {
  pour: Pour;
  lines: { step: StepRef; planned: number; done: number | null; uses: [string, number][] }[];
  uses: Usage[];
}
const text = readFileSync(new URL('./frozen.json', import.meta.url), 'utf8');
const frozen = JSON.parse(text) as Frozen;

test('the log of a stored pour reads as it did', () => {
  const lines = plannedBesideDone(readSession(frozen.pour)).map(({ step, planned, done }) => ({
    step: step.id,
    planned,
    done: done === undefined ? null : Math.round(done * 1000) / 1000,
    uses: step.uses.map((u) => [u.cup.role, u.ml]),
  }));
  assert.deepEqual(lines, frozen.lines);
  assert.deepEqual(weighed(readSession(frozen.pour)), [{ batch: 0, aG: 254.5, bG: 217 }]);
});

test('and so does what it took from the shelf', () => assert.deepEqual(usagesOf([frozen.pour]), frozen.uses));

test('nothing of it hangs on what it was planned from: with other coats, habits and resins the record is the same', () => {
  const { pour } = frozen;
  const [piece] = pour.planned.pieces;
  const altered: Pour = {
    ...pour,
    planned: {
      ...pour.planned,
      pieces: [{ ...piece!, count: 7, coats: piece!.coats.slice(0, 1) }],
      method: { ...pour.planned.method, spare: 0.5, whiteFactor: 4, layMinPerCup: 9 },
      resins: pour.planned.resins.map((r) => ({ ...r, workingMin: 5, densityA: 2 })),
    },
  };
  const read = (p: Pour) => plannedBesideDone(readSession(p)).map((l) => [l.planned, l.done, l.step.uses]);
  assert.deepEqual(read(altered), read(pour), 'a told cup that is gone from the piece is read all the same');
  assert.deepEqual(usagesOf([altered]), frozen.uses);
});

test('its clock can still be drawn, and a resin that is gone draws none', () => {
  const told = frozen.pour.told!;
  const white = benchClockOf(frozen.pour, told, 0, planner)!.cups.find((c) => c.cup?.white)!;
  assert.ok(white.thickness(30) > white.thickness(5));
  assert.equal(benchClockOf({ ...frozen.pour, planned: { ...frozen.pour.planned, resins: [] } }, told, 0, planner), undefined);
});
